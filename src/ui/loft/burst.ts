import type { WindowId } from '@/core/model/ids'

/** Letters that sent something, one soon after the other. */
export interface Burst {
  letters: string
  /** What they sent, all in one step. */
  sent: WindowId[]
  /** When the last one did, in milliseconds of any clock. */
  at: number
}

export const NO_BURST: Burst = { letters: '', sent: [], at: Number.NEGATIVE_INFINITY }

/** Letters that come sooner after another belong together, in milliseconds. */
const TOGETHER = 450

/** A letter sent windows, with those that it sent just before. */
export const sentBy = (burst: Burst, letter: string, windows: WindowId[], at: number): Burst =>
  at - burst.at <= TOGETHER
    ? { letters: burst.letters + letter.toLowerCase(), sent: windows, at }
    : { letters: letter.toLowerCase(), sent: windows, at }

/** What the same letter sent just before: with that, what it sends now is one step. */
export const sentWith = ({ letters, sent, at }: Burst, letter: string, now: number): WindowId[] =>
  now - at <= TOGETHER && letters.endsWith(letter.toLowerCase()) ? sent : []

/**
 * What is looked for, where a letter comes soon after another one that sent something: one letter is
 * said, the same one again sends once more, different ones are typed. Null where it is no search.
 */
export function searchIn({ letters, sent, at }: Burst, key: string, now: number): string | null {
  if (sent.length === 0 || now - at > TOGETHER || !/^\p{L}$/u.test(key)) return null
  const letter = key.toLowerCase()
  return letters.endsWith(letter) ? null : letters + letter
}
