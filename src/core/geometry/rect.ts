export interface Point {
  x: number
  y: number
}

export interface Size {
  width: number
  height: number
}

export interface Rect extends Point, Size {}

/** Smallest and largest size of a window, in CSS pixels. */
export interface Limits {
  minWidth: number
  minHeight: number
  maxWidth?: number
  maxHeight?: number
}

/**
 * A span of the 3×3 pad, rows and columns counted from 0, ends included. Parts of cells are meant by
 * fractions: the left half is from 0 to 0.5.
 */
export interface Span {
  top: number
  left: number
  bottom: number
  right: number
}

/** Height of a window's header. */
export const HEM = 30
/** How much of the hem stays within reach. */
export const REACH = 48
/** The longest side a window or a display can have, in CSS pixels. */
export const LONGEST = 20_000

export const clamp = (value: number, low: number, high: number): number =>
  Math.max(low, Math.min(value, high))

/** Area two rectangles share, in square CSS pixels. */
export function overlap(a: Rect, b: Rect): number {
  const width = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)
  const height = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y)
  return width > 0 && height > 0 ? width * height : 0
}

/** The size brought within an app's limits, in whole pixels. The minimum wins over the maximum. */
export function limited(size: Size, limits: Limits): Size {
  const { minWidth, minHeight, maxWidth = LONGEST, maxHeight = LONGEST } = limits
  return {
    width: Math.max(minWidth, Math.min(Math.round(size.width), maxWidth)),
    height: Math.max(minHeight, Math.min(Math.round(size.height), maxHeight)),
  }
}

/**
 * A frame that stood wholly within a room, in one that is smaller now: moved in as little as needed,
 * each way by itself. What stood over an edge, or is larger than the room, is left as it is.
 *
 * @param made the room it stood in; undefined where that is not known
 */
export function movedIn(frame: Rect, made: Size | undefined, area: Size): Rect {
  if (!made) return frame
  const along = (start: number, length: number, before: number, now: number): number =>
    start >= 0 && start + length <= before && start + length > now && length <= now
      ? now - length
      : start
  return {
    ...frame,
    x: along(frame.x, frame.width, made.width, area.width),
    y: along(frame.y, frame.height, made.height, area.height),
  }
}

/** The frame moved as little as needed so that 48 px of its hem lie inside the area. */
export function reachable(frame: Rect, area: Size): Rect {
  const x = clamp(frame.x, REACH - frame.width, Math.max(area.width - REACH, REACH - frame.width))
  const y = clamp(frame.y, 0, Math.max(0, area.height - HEM))
  // A rounded −0 would not be the same once it is kept as JSON.
  return { ...frame, x: Math.round(x) + 0, y: Math.round(y) + 0 }
}

/**
 * The frame that fills a span of the 3×3 pad over an area, gaps taken off, within limits.
 * A window whose limits keep it from filling the span stands at the span's top-left.
 *
 * @param gap between placed windows and around them, in CSS pixels
 */
export function spanFrame(span: Span, area: Size, limits: Limits, gap: number): Rect {
  const column = (area.width - gap) / 3
  const row = (area.height - gap) / 3
  const x = Math.round(gap + span.left * column)
  const y = Math.round(gap + span.top * row)
  const size = limited(
    {
      width: Math.max(1, Math.round((span.right + 1) * column) - x),
      height: Math.max(1, Math.round((span.bottom + 1) * row) - y),
    },
    limits,
  )
  return reachable({ x, y, ...size }, area)
}

/** The area cut into nine, row by row, as windows placed there would stand. */
export const nineCells = (area: Size, gap: number): Rect[] =>
  [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) =>
      spanFrame({ top: row, left: column, bottom: row, right: column }, area, ANY, gap),
    ),
  )

const ANY: Limits = { minWidth: 1, minHeight: 1 }
