/**
 * What becomes of an error that is caught and not told where it was caught: it is expected, and why;
 * or it is logged, for whoever looks for what went wrong. Nothing is passed over without a word.
 */

/** It may happen and nothing is lost by it: why, and what is gone on with instead. */
export const expected =
  <T = undefined>(_why: string, instead?: T) =>
  (): T =>
    instead as T

/** It should not happen. The person need not know: what failed, and what is gone on with instead. */
export const logged =
  <T = undefined>(what: string, instead?: T) =>
  (error: unknown): T => {
    console.warn(`${what}:`, error)
    return instead as T
  }
