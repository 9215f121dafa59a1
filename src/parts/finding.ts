/** What is looked for in an app, and how. */
export interface Asked {
  text: string
  /** What is put instead, where that can be done. */
  instead: string
  caseSensitive: boolean
  wholeWord: boolean
}

export const NOTHING: Asked = { text: '', instead: '', caseSensitive: false, wholeWord: false }

/** How many there are, and which of them one is at: from 1; 0 where one is at none. */
export interface Count {
  at: number
  of: number
}

/**
 * What finds a text in others; null where nothing is asked for.
 * @returns a pattern that goes on from match to match
 */
export function patternOf({ text, caseSensitive, wholeWord }: Asked): RegExp | null {
  if (text === '') return null
  const word = text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
  const edge = '[\\p{L}\\p{N}_]'
  const whole = wholeWord ? `(?<!${edge})${word}(?!${edge})` : word
  return new RegExp(whole, caseSensitive ? 'gu' : 'giu')
}
