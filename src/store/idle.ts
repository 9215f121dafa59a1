/**
 * Does something when the page has nothing else to do, at the latest after a time. Not every browser
 * tells when it is idle: there it is done a moment later.
 * @returns how to leave it undone
 */
export function whenIdle(work: () => void, timeout: number): () => void {
  if (typeof requestIdleCallback === 'function') {
    const handle = requestIdleCallback(work, { timeout })
    return () => cancelIdleCallback(handle)
  }
  const handle = setTimeout(work, Math.min(timeout, 50))
  return () => clearTimeout(handle)
}
