import { diffIndices } from 'node-diff3'

/** A stretch of two versions of a text: the same in both, or different. */
export interface Stretch {
  here: string
  there: string
  /** How many paragraphs it is of, on the side that has more. */
  paragraphs: number
  /** Which of them was changed since both said the same; where that is not known, both. */
  changed: 'neither' | 'here' | 'there' | 'both'
}

/** What is taken of a stretch that differs; `both`: what it says here, and after it what it says there. */
export type Taken = 'here' | 'there' | 'both'

/**
 * The paragraphs of a text, each with the empty lines before it; or its lines, where each is a thing by
 * itself, as in a table. One after the other they are the text.
 */
export function partsOf(text: string, by: 'paragraphs' | 'lines'): string[] {
  const lines = text.match(/[^\n]*\n|[^\n]+$/g) ?? []
  if (by === 'lines') return lines
  const parts: string[] = []
  let goesOn = false
  for (const line of lines) {
    const empty = line.trim() === ''
    const before = parts.at(-1)
    // Empty lines begin what follows them.
    if (before !== undefined && (goesOn ? !empty : before.trim() === ''))
      parts.push((parts.pop() ?? '') + line)
    else parts.push(line)
    goesOn = !empty
  }
  return parts
}

/** What was changed of a base: where, and where what stands there instead is. */
interface Hunk {
  side: 'here' | 'there'
  from: number
  to: number
  /** In the version. */
  start: number
  end: number
}

/** As many paragraphs as there were stand each for the one that was there. */
function hunksOf(side: Hunk['side'], base: string[], version: string[]): Hunk[] {
  const found = diffIndices(base, version) as {
    buffer1: [number, number]
    buffer2: [number, number]
  }[]
  return found.flatMap(({ buffer1: [from, length], buffer2: [start, count] }) => {
    if (length !== count) return [{ side, from, to: from + length, start, end: start + count }]
    return Array.from({ length }, (_, at) => ({
      side,
      from: from + at,
      to: from + at + 1,
      start: start + at,
      end: start + at + 1,
    }))
  })
}

/**
 * Two versions of a text, stretch by stretch: a comparison of three (S. Khanna, K. Kunal and B. C. Pierce,
 * A Formal Investigation of Diff3, 2007).
 * @param base what both said before; null where that is not known
 */
export function compared(
  here: string,
  base: string | null,
  there: string,
  by: 'paragraphs' | 'lines',
): Stretch[] {
  const [ours, theirs] = [partsOf(here, by), partsOf(there, by)]
  // Without a base all that differs was changed on both sides, as far as is known.
  const before = base === null ? ours : partsOf(base, by)
  const hunks = [...hunksOf('here', before, ours), ...hunksOf('there', before, theirs)].sort(
    (a, b) => a.from - b.from || a.to - b.to,
  )
  const shift = { here: 0, there: 0 }
  const stretches: Stretch[] = []
  let at = 0
  const add = (from: number, to: number, group: Hunk[]) => {
    const said = (side: Hunk['side'], version: string[]): string[] => {
      const own = group.filter((one) => one.side === side)
      const [first, last] = [own[0], own.at(-1)]
      const start = first ? first.start - (first.from - from) : from + shift[side]
      if (last) shift[side] = last.end - last.to
      return version.slice(start, to + shift[side])
    }
    const [mine, other] = [said('here', ours), said('there', theirs)]
    if (mine.length + other.length === 0) return
    const [text, otherText] = [mine.join(''), other.join('')]
    const sides = new Set(group.map(({ side }) => side))
    const both = base === null || sides.size === 2
    const differs = both ? 'both' : sides.has('here') ? 'here' : 'there'
    stretches.push({
      here: text,
      there: otherText,
      paragraphs: Math.max(mine.length, other.length),
      changed: text === otherText ? 'neither' : differs,
    })
  }
  for (let next = 0; next < hunks.length; ) {
    const group: Hunk[] = []
    const from = hunks[next]?.from ?? 0
    let to = from
    let one = hunks[next]
    while (one && (group.length === 0 || touches(one, group, to))) {
      group.push(one)
      to = Math.max(to, one.to)
      one = hunks[++next]
    }
    add(at, from, [])
    add(from, to, group)
    at = to
  }
  add(at, before.length, [])
  return stretches
}

/** Whether something was changed where others were, or put in beside them: nobody knows in which order. */
const touches = (one: Hunk, group: Hunk[], to: number): boolean =>
  one.from < to ||
  (one.from === to && [one, ...group].some(({ from, to: end }) => from === end && end === to))

/** What is taken without asking: what only one side changed. Where both did, both are kept. */
export const takenOf = ({ changed }: Stretch): Taken => (changed === 'neither' ? 'here' : changed)

/** The text that what is taken makes. */
export const merged = (
  stretches: readonly Stretch[],
  taken: readonly (Taken | undefined)[],
  by: 'paragraphs' | 'lines' = 'paragraphs',
): string =>
  stretches
    .map((one, at) => {
      const takes = taken[at] ?? takenOf(one)
      if (one.changed === 'neither' || takes === 'here') return one.here
      return takes === 'there' ? one.there : apart(one.here, one.there, by)
    })
    .join('')

/** One after the other, as paragraphs of their own. */
function apart(first: string, second: string, by: 'paragraphs' | 'lines'): string {
  if (!first || !second) return first + second
  const end = /\r\n/.test(first + second) ? '\r\n' : '\n'
  const gap =
    (first.endsWith('\n') ? '' : end) + (/^\s*\n/.test(second) || by === 'lines' ? '' : end)
  return first + gap + second
}
