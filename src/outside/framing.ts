/**
 * Whether the headers of a page let it be shown in a frame of another site (X-Frame-Options and
 * the frame-ancestors directive, which wins where both are given).
 */
export function mayBeFramed(headers: Headers, same: boolean): boolean {
  const ancestors = headers
    .get('content-security-policy')
    ?.split(';')
    .map((part) => part.trim().split(/\s+/))
    .find(([name]) => name === 'frame-ancestors')
  if (ancestors) return ancestors.includes('*') || (same && ancestors.includes("'self'"))
  const options = headers.get('x-frame-options')?.toLowerCase()
  return !options || (same && options === 'sameorigin')
}

/** Addresses that are not asked from here: this machine and private networks. */
export const isPrivate = (hostname: string): boolean =>
  /^(localhost|.*\.local|\[.*\]|127\.|10\.|192\.168\.|169\.254\.|172\.(1[6-9]|2\d|3[01])\.)/.test(
    hostname,
  )
