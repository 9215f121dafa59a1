/** Text longer than this is shown in parts, and not edited, in characters. */
const LONG = 300_000
/** A line longer than this: where it breaks is worked out anew with every letter. */
const LONG_LINE = 20_000

/** Whether there is so much of a text, or of one of its lines, that it is shown in parts. */
export function isLong(text: string): boolean {
  if (text.length > LONG) return true
  for (let from = 0; text.length - from > LONG_LINE; ) {
    const end = text.lastIndexOf('\n', from + LONG_LINE)
    if (end < from) return true
    from = end + 1
  }
  return false
}

/** A part is about so long, and so many lines at the most. */
const PART = 8000
const LINES = 120

/** The text in parts that end where a line ends, as far as lines end. */
export function partsOf(text: string): string[] {
  const parts: string[] = []
  for (let from = 0; from < text.length; ) {
    let to = from
    for (let lines = 0; lines < LINES && to - from < PART; lines++) {
      const end = text.indexOf('\n', to)
      to = end < 0 || end - from > PART * 2 ? Math.min(text.length, from + PART) : end + 1
      if (to >= text.length) break
    }
    parts.push(text.slice(from, to))
    from = to
  }
  return parts
}
