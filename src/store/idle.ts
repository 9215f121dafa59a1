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

/** They belong to the person, in milliseconds. */
const FIRST_MOMENTS = 8000
/** What can wait is done after this time even if the page always has something to do. */
const IDLE_WITHIN = 5000

/** Does what can wait some time after the start. */
export function afterFirstMoments(work: () => void, signal: AbortSignal): void {
  const timer = setTimeout(() => whenIdle(work, IDLE_WITHIN), FIRST_MOMENTS)
  signal.addEventListener('abort', () => clearTimeout(timer))
}
