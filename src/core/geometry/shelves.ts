import type { Size } from '@/core/model/types'

/** Where a window's miniature stands: its corner, and the scale of the whole window. */
export interface Place extends Size {
  x: number
  y: number
  scale: number
  /** Which stands above which, where they overlap. */
  z?: number
}

interface Shelf {
  id: string
  top: number
  height: number
}

export interface Shelves {
  rows: Shelf[]
  places: Record<string, Place>
  height: number
}

/** Left of the windows stands the name of the row. */
export const LABEL = 196
export const CAPTION = 22
const MOST: Size = { width: 128, height: 84 }
/** Height of a row that holds nothing of what is looked for. */
const THIN = 24
const GAP = 18
const ABOVE = 10
/** So that captions can be read above narrow windows. */
export const LEAST_WIDTH = 116

/**
 * Stands windows on shelves, a row each, at true proportions and none larger than 128×84 CSS
 * pixels. They stand on the shelf's line with a caption above; a row that is full goes on below.
 * A thin row is an edge with nothing on it.
 *
 * @param width of the area; at least one window stands on every line whatever it is
 */
export function standOnShelves(
  rows: { id: string; windows: ({ id: string } & Size)[]; thin?: boolean }[],
  width: number,
): Shelves {
  const line = ABOVE + CAPTION + MOST.height
  const places: Record<string, Place> = {}
  let top = 0
  const shelves = rows.map(({ id, windows, thin }) => {
    let x = LABEL
    let lines = 1
    for (const window of thin ? [] : windows) {
      const scale = Math.min(1, MOST.width / window.width, MOST.height / window.height)
      const wide = Math.max(LEAST_WIDTH, window.width * scale)
      if (x > LABEL && x + wide > width - GAP) {
        x = LABEL
        lines++
      }
      const y = top + lines * line - window.height * scale
      places[window.id] = { x, y, scale, width: window.width, height: window.height }
      x += wide + GAP
    }
    const shelf = { id, top, height: thin ? THIN : lines * line + 4 }
    top += shelf.height
    return shelf
  })
  return { rows: shelves, places, height: top }
}
