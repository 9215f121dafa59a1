import { clamp, type Size } from './rect'

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
  /** How large the miniatures are, in percent of the usual. */
  size: number
}

interface Given {
  id: string
  windows: ({ id: string } & Size)[]
  /** Whether it holds nothing of what is looked for. */
  thin?: boolean
}

/** Left of the windows stands the name of the row. */
export const LABEL = 196
export const CAPTION = 22
/** The largest miniature at 100 percent. */
const USUAL: Size = { width: 128, height: 84 }
/** Heights of a row that holds nothing of what is looked for, and of a desktop without windows. */
const THIN = 24
const EMPTY = 40
const GAP = 18
const ABOVE = 10
/** So that captions can be read above narrow windows. */
export const LEAST_WIDTH = 108

/** Sizes there are, in percent. Below the least that fits by itself, captions say more than pictures. */
export const SIZES = { least: 40, fitting: 50, most: 320 }

/**
 * Stands windows on shelves, a row each, at true proportions. They stand on the shelf's line with a
 * caption above; a row that is full goes on below. A thin row is an edge with nothing on it.
 *
 * @param room the area in CSS pixels; at least one window stands on every line however narrow
 * @param size of the miniatures in percent; 0 for the largest at which all rows fit into the room,
 *   or, where they do not even at the least legible one, for that
 */
export function standOnShelves(rows: Given[], room: Size, size = 0): Shelves {
  if (size > 0) return stood(rows, room, clamp(size, SIZES.least, SIZES.most))
  // The larger the higher: a line never takes more windows for that.
  let [fits, beyond] = [SIZES.fitting, SIZES.most + STEP]
  while (beyond - fits > STEP) {
    const middle = fits + Math.floor((beyond - fits) / 2 / STEP) * STEP
    if (stood(rows, room, middle).height <= room.height) fits = middle
    else beyond = middle
  }
  return stood(rows, room, fits)
}

/** Sizes that are tried differ by so much, in percent. */
const STEP = 5

function stood(rows: Given[], room: Size, size: number): Shelves {
  const most = {
    width: Math.min((USUAL.width * size) / 100, Math.max(LEAST_WIDTH, room.width - LABEL - GAP)),
    height: (USUAL.height * size) / 100,
  }
  const line = ABOVE + CAPTION + most.height
  const places: Record<string, Place> = {}
  let top = 0
  const shelves = rows.map(({ id, windows, thin }) => {
    let x = LABEL
    let lines = 1
    for (const window of thin ? [] : windows) {
      const scale = Math.min(1, most.width / window.width, most.height / window.height)
      const wide = Math.max(LEAST_WIDTH, window.width * scale)
      if (x > LABEL && x + wide > room.width - GAP) {
        x = LABEL
        lines++
      }
      const y = top + lines * line - window.height * scale
      places[window.id] = { x, y, scale, width: window.width, height: window.height }
      x += wide + GAP
    }
    const full = windows.length > 0 ? Math.ceil(lines * line) + 4 : EMPTY
    const shelf = { id, top, height: thin ? THIN : full }
    top += shelf.height
    return shelf
  })
  return { rows: shelves, places, height: top, size }
}
