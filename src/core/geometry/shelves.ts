import { clamp, type Size } from './rect'

/** Where a window's miniature stands: its corner, and the scale of the whole window. */
export interface Place extends Size {
  x: number
  y: number
  scale: number
  /** Which stands above which, where they overlap. */
  z?: number
  /** The room for its caption, where that is more than its own width. */
  caption?: number
}

/** A row: its head, and below it its windows in lines. */
interface Shelf {
  id: string
  left: number
  top: number
  width: number
  height: number
}

export interface Shelves {
  rows: Shelf[]
  places: Record<string, Place>
  height: number
  /** In how many columns the rows stand, one column after the other. */
  columns: number
  /** How large the miniatures are, in percent of the usual. */
  size: number
}

interface Given {
  id: string
  windows: ({ id: string } & Size)[]
  /** Whether it holds nothing of what is looked for. */
  thin?: boolean
  /** Whether nothing ever stands on it: it is only a head, in the band below the others. */
  chip?: boolean
}

/** The head of a row, with its name. */
const HEAD = 42
export const CAPTION = 22
/** The largest miniature at 100 percent. */
const USUAL: Size = { width: 128, height: 150 }
/** Heights of a row that holds nothing of what is looked for, and of a desktop without windows. */
const THIN = 24
const EMPTY = 40
/** Between windows, above each line of them, and below the last. */
const GAP = 14
const ABOVE = 4
const BELOW = 6
/** At both ends of a line. */
const INSET = 8
/** So much wider than its window a caption is at most, where there is room. */
const SPREAD = 56
/** The least width of a chip, that of few ones, and what is free above their band. */
const CHIP = 200
const FEW = 280
const BAND = 8
/** Between columns, and the least there is of one. */
const SEAM = 20
const LEAST_COLUMN = 264
/** So that captions can be read above narrow windows. */
const LEAST_WIDTH = 108

/** Sizes there are, in percent. Below the least that fits by itself, captions say more than pictures. */
export const SIZES = { least: 40, fitting: 50, most: 320 }

/** Sizes that are tried differ by so much, in percent. */
const STEP = 2

/**
 * Stands windows on shelves at true proportions: a row each, its head above its windows, which stand on
 * lines with a caption above. The rows stand in as many columns as make the windows largest with all
 * of them in sight, one column after the other. A thin row is an edge with nothing on it. Chips, which
 * come last, stand in a band below.
 *
 * @param room the area in CSS pixels; at least one window stands on every line however narrow
 * @param size of the miniatures in percent; 0 for the largest at which all rows fit into the room,
 *   or, where they do not even at the least legible one, for that
 */
export function standOnShelves(all: Given[], whole: Size, size = 0): Shelves {
  const band = chips(
    all.filter(({ chip }) => chip),
    whole.width,
  )
  const rows = all.filter(({ chip }) => !chip)
  const room = { width: whole.width, height: Math.max(0, whole.height - band.height) }
  const above = standInColumns(rows, room, size)
  const below = band.rows.map((row) => ({ ...row, top: row.top + above.height }))
  return { ...above, rows: [...above.rows, ...below], height: above.height + band.height }
}

/** Where chips stand, side by side. */
function chips(all: Given[], width: number): Pick<Shelves, 'rows' | 'height'> {
  if (all.length === 0) return { rows: [], height: 0 }
  const most = (each: number) => Math.max(1, Math.floor((width + SEAM) / (each + SEAM)))
  const count = Math.min(most(CHIP), Math.max(all.length, most(FEW)))
  const each = Math.floor((width - (count - 1) * SEAM) / count)
  const rows = all.map(({ id }, at) => ({
    id,
    left: (at % count) * (each + SEAM),
    top: BAND + Math.floor(at / count) * EMPTY,
    width: each,
    height: EMPTY,
  }))
  return { rows, height: BAND + Math.ceil(all.length / count) * EMPTY }
}

function standInColumns(rows: Given[], room: Size, size: number): Shelves {
  const most = Math.max(1, Math.floor((room.width + SEAM) / (LEAST_COLUMN + SEAM)))
  const counts = Array.from({ length: Math.min(most, rows.length || 1) }, (_, at) => at + 1)
  const at = (columns: number, percent: number) => stood(rows, room, columns, percent)
  if (size > 0) {
    const all = counts.map((columns) => at(columns, clamp(size, SIZES.least, SIZES.most)))
    return all.find(({ height }) => height <= room.height) ?? lowest(all)
  }
  const fitting = counts.flatMap((columns) => largest((percent) => at(columns, percent), room))
  return fitting.length > 0
    ? fitting.reduce((best, other) => (drawn(other) > drawn(best) ? other : best))
    : lowest(counts.map((columns) => at(columns, SIZES.fitting)))
}

const lowest = (all: Shelves[]): Shelves =>
  all.reduce((best, other) => (other.height < best.height ? other : best))

/** How much of the room is windows, in square pixels. */
const drawn = ({ places }: Shelves): number =>
  Object.values(places).reduce(
    (sum, { width, height, scale }) => sum + width * height * scale * scale,
    0,
  )

/** The largest that fits into the room; none where not even the least legible does. */
function largest(at: (percent: number) => Shelves, room: Size): Shelves[] {
  const fits = (percent: number) => at(percent).height <= room.height
  if (!fits(SIZES.fitting)) return []
  let [good, beyond] = [SIZES.fitting, SIZES.most + STEP]
  while (beyond - good > STEP) {
    const middle = good + Math.floor((beyond - good) / 2 / STEP) * STEP
    if (fits(middle)) good = middle
    else beyond = middle
  }
  // The larger the higher, but where a line takes one window less: a little beyond it may fit again.
  for (let more = good + STEP; more <= Math.min(good + BEYOND, SIZES.most); more += STEP)
    if (fits(more)) good = more
  return [at(good)]
}

/** So far beyond the first that does not fit it is looked on, in percent. */
const BEYOND = 40

/** A row as high as it is, with its windows where they stand in it. */
interface Stood {
  id: string
  height: number
  places: [string, Place][]
}

function stood(rows: Given[], room: Size, columns: number, size: number): Shelves {
  const width = Math.floor((room.width - (columns - 1) * SEAM) / columns)
  const all = rows.map((row) => standRow(row, width, size))
  const heights = all.map(({ height }) => height)
  const places: Record<string, Place> = {}
  const shelves: Shelf[] = []
  let [column, top, height] = [0, 0, 0]
  const limit = balanced(heights, columns)
  for (const row of all) {
    if (top > 0 && top + row.height > limit) [column, top] = [column + 1, 0]
    const left = column * (width + SEAM)
    shelves.push({ id: row.id, left, top, width, height: row.height })
    for (const [id, place] of row.places)
      places[id] = { ...place, x: left + place.x, y: top + place.y }
    top += row.height
    height = Math.max(height, top)
  }
  return { rows: shelves, places, height, columns, size }
}

/** The least height at which rows stand in so many columns, one after the other. */
function balanced(heights: number[], columns: number): number {
  const needs = (limit: number) => {
    let [count, top] = [1, 0]
    for (const height of heights) {
      if (top > 0 && top + height > limit) [count, top] = [count + 1, 0]
      top += height
    }
    return count
  }
  let low = Math.max(0, ...heights)
  let high = heights.reduce((sum, height) => sum + height, 0)
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (needs(middle) <= columns) high = middle
    else low = middle + 1
  }
  return high
}

/** One row: its windows on as many lines as they take, each as high as the highest on it. */
function standRow({ id, windows, thin }: Given, width: number, size: number): Stood {
  if (thin) return { id, height: THIN, places: [] }
  if (windows.length === 0) return { id, height: EMPTY, places: [] }
  const room = Math.max(LEAST_WIDTH, width - 2 * INSET)
  const most = {
    width: Math.min((USUAL.width * size) / 100, room),
    height: (USUAL.height * size) / 100,
  }
  const lines: { id: string; place: Place; high: number; wide: number }[][] = [[]]
  let x = 0
  for (const { id: window, ...frame } of windows) {
    const scale = Math.min(1, most.width / frame.width, most.height / frame.height)
    const wide = Math.max(LEAST_WIDTH, frame.width * scale)
    if (x > 0 && x + wide > room) {
      x = 0
      lines.push([])
    }
    const place: Place = { x: INSET + x, y: 0, scale, width: frame.width, height: frame.height }
    lines.at(-1)?.push({ id: window, place, high: frame.height * scale, wide })
    x += wide + GAP
  }
  let top = HEAD
  const places: [string, Place][] = []
  for (const line of lines) {
    const last = line.at(-1)
    const free = last ? room - (last.place.x - INSET) - last.wide : 0
    // What is left of a line is for the captions on it.
    const more = Math.min(SPREAD, Math.max(0, free / line.length))
    for (const [at, one] of line.entries())
      Object.assign(one.place, { x: one.place.x + at * more, caption: one.wide + more })
    top += ABOVE + CAPTION + Math.ceil(Math.max(...line.map(({ high }) => high)))
    for (const { id: window, place, high } of line)
      places.push([window, { ...place, y: top - high }])
  }
  return { id, height: top + BELOW, places }
}
