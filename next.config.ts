import type { NextConfig } from 'next'

const headers = [
  { key: 'x-content-type-options', value: 'nosniff' },
  { key: 'referrer-policy', value: 'no-referrer' },
  { key: 'x-frame-options', value: 'SAMEORIGIN' },
  // Outside windows stay known to the shelf: whether they are open, and how to close them.
  { key: 'cross-origin-opener-policy', value: 'same-origin-allow-popups' },
  { key: 'permissions-policy', value: 'camera=(), microphone=(), geolocation=(), payment=()' },
]

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // `npm test` checks them beside the build.
  typescript: { ignoreBuildErrors: true },
  headers: async () => [{ source: '/:path*', headers }],
}

export default config
