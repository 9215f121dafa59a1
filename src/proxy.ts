import { type NextRequest, NextResponse } from 'next/server'
import { refusedAtAll } from '@/outside/guard'

const development = process.env.NODE_ENV === 'development'

/** Who is not served here; else a fresh nonce and the content security policy for every page. */
export function proxy(request: NextRequest) {
  const refused = refusedAtAll(request)
  if (refused) return refused
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64')
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    // Elements are styled by sheets with the nonce; only style attributes are free.
    development ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "media-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "frame-src 'self' http: https:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'self'",
  ].join('; ')
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  return response
}

export const config = {
  matcher: ['/((?!_next/static|_next/image|icon.svg).*)'],
}
