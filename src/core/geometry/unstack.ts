import type { Rect, Size } from './rect'

export interface Unstacked {
  /** The scale all windows share, at most 1. */
  scale: number
  /** The top-left of each window, in the order given. */
  places: { x: number; y: number }[]
}

/** Space between windows and around them, and below each for its caption, in CSS pixels. */
export const UNSTACK_GAP = 24
export const UNSTACK_CAPTION = 26

/**
 * The indices of frames in reading order. The topmost frame begins a band; frames whose top lies
 * above its middle belong to the band, which is read from left to right.
 */
export function readingOrder(frames: Rect[]): number[] {
  const at = (index: number) => frames[index] as Rect
  let rest = [...frames.keys()].sort((a, b) => at(a).y - at(b).y || at(a).x - at(b).x)
  const order: number[] = []
  while (rest[0] !== undefined) {
    const first = at(rest[0])
    const middle = first.y + first.height / 2
    const band = rest.filter((index) => index === rest[0] || at(index).y < middle)
    order.push(...band.sort((a, b) => at(a).x - at(b).x || at(a).y - at(b).y))
    rest = rest.filter((index) => !band.includes(index))
  }
  return order
}

/**
 * Windows side by side, none covering another: in rows in the order given, at one scale, as large
 * as any partition into rows allows. The scale is found by bisection to 1/2000 of the best; for a
 * scale, the partition of least height by dynamic programming over the last row's beginning.
 *
 * @param area with no size to spare gives the scale 0
 */
export function unstack(sizes: Size[], area: Size): Unstacked {
  if (sizes.length === 0) return { scale: 1, places: [] }
  let [fits, fails] = [0, 1]
  if (rowsFor(sizes, area, 1)) fits = 1
  else
    while (fails - fits > fits / 2000 + 1e-6) {
      const middle = (fits + fails) / 2
      if (rowsFor(sizes, area, middle)) fits = middle
      else fails = middle
    }
  return { scale: fits, places: place(sizes, area, fits, rowsFor(sizes, area, fits) ?? [0]) }
}

/** Where the rows begin at a scale, or null when no partition fits the area. */
function rowsFor(sizes: Size[], area: Size, scale: number): number[] | null {
  // least[n]: the least height the first n windows need; from[n]: where their last row begins.
  const least = [0, ...sizes.map(() => Number.POSITIVE_INFINITY)]
  const from = sizes.map(() => 0)
  for (let end = 1; end <= sizes.length; end++) {
    let width = UNSTACK_GAP
    let height = 0
    for (let start = end - 1; start >= 0; start--) {
      const size = sizes[start] as Size
      width += size.width * scale + UNSTACK_GAP
      height = Math.max(height, size.height * scale)
      if (width > area.width) break
      const needs = (least[start] ?? 0) + height + UNSTACK_CAPTION + UNSTACK_GAP
      if (needs < (least[end] ?? 0)) {
        least[end] = needs
        from[end - 1] = start
      }
    }
  }
  if ((least[sizes.length] ?? 0) + UNSTACK_GAP > area.height) return null
  const starts: number[] = []
  for (let end = sizes.length; end > 0; end = from[end - 1] ?? 0) starts.unshift(from[end - 1] ?? 0)
  return starts
}

/** The block of rows stands in the middle of the area, each row in the middle of the block. */
function place(sizes: Size[], area: Size, scale: number, starts: number[]): Unstacked['places'] {
  const rows = starts.map((start, at) => sizes.slice(start, starts[at + 1]))
  const heights = rows.map((row) => Math.max(...row.map(({ height }) => height * scale)))
  const total = heights.reduce(
    (sum, height) => sum + height + UNSTACK_CAPTION + UNSTACK_GAP,
    UNSTACK_GAP,
  )
  let y = UNSTACK_GAP + (area.height - total) / 2
  return rows.flatMap((row, at) => {
    const width = row.reduce((sum, size) => sum + size.width * scale + UNSTACK_GAP, -UNSTACK_GAP)
    let x = (area.width - width) / 2
    const top = y
    y += (heights[at] ?? 0) + UNSTACK_CAPTION + UNSTACK_GAP
    return row.map((size) => {
      const left = x
      x += size.width * scale + UNSTACK_GAP
      return { x: left, y: top }
    })
  })
}

const HINTS = 'ASDFGHJKLQWERTYUIOPZXCVBNM'

/**
 * Letters for each window to pick it by, the easiest to reach first: one letter for as many as
 * possible, so that only what goes beyond 26 takes a second. None begins another.
 */
export function hints(count: number): string[] {
  const letters = [...HINTS]
  // Each letter that begins two takes one away and gives as many as there are letters.
  const beginning = Math.min(
    letters.length,
    Math.max(0, Math.ceil((count - letters.length) / (letters.length - 1))),
  )
  const single = letters.slice(0, letters.length - beginning)
  const first = letters.slice(letters.length - beginning)
  const double = first.flatMap((one) => letters.map((other) => one + other))
  return [...single, ...double].slice(0, count)
}
