/** Letters that sent something, one soon after the other. */
export interface Burst {
  letters: string
  /** How many of them sent something. */
  sent: number
  /** When the last one did, in milliseconds of any clock. */
  at: number
}

export const NO_BURST: Burst = { letters: '', sent: 0, at: Number.NEGATIVE_INFINITY }

/** Letters that come sooner after another belong together, in milliseconds. */
const TOGETHER = 450

/** A letter sent something. */
export const sentBy = (burst: Burst, letter: string, at: number): Burst =>
  at - burst.at <= TOGETHER
    ? { letters: burst.letters + letter.toLowerCase(), sent: burst.sent + 1, at }
    : { letters: letter.toLowerCase(), sent: 1, at }

/**
 * What is looked for, where a letter comes soon after another one that sent something: one letter is
 * said, the same one again sends once more, different ones are typed. Null where it is no search.
 */
export function searchIn({ letters, sent, at }: Burst, key: string, now: number): string | null {
  if (sent === 0 || now - at > TOGETHER || !/^\p{L}$/u.test(key)) return null
  const letter = key.toLowerCase()
  return letters.endsWith(letter) ? null : letters + letter
}
