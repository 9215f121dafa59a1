import { clamp, overlap, type Point, type Rect, type Size } from './rect'

/** How far a cascaded window stands from the one it would hide. */
const CASCADE = 28

/**
 * Where a new window goes: of the positions made by the corners and edges of the existing
 * frames and the area, the one that covers the least of other windows; ties go to the topmost,
 * then leftmost. Where every position is wholly covered, it cascades from the topmost frame.
 *
 * @param size of the new window; a window larger than the area is put at its top-left
 * @param frames of the windows already there, topmost first
 * @param gap kept from them and from the edges where there is room for it, in CSS pixels
 */
export function placeNew(size: Size, area: Size, frames: Rect[], gap: number): Point {
  // Each with the gap above it and at its left, in an area without the gap at its end.
  const { x, y } = freest(
    grown(size, gap),
    { width: area.width - gap, height: area.height - gap },
    frames.map((frame) => ({ x: frame.x - gap, y: frame.y - gap, ...grown(frame, gap) })),
  )
  return {
    x: clamp(x + gap, 0, Math.max(0, area.width - size.width)),
    y: clamp(y + gap, 0, Math.max(0, area.height - size.height)),
  }
}

const grown = ({ width, height }: Size, by: number): Size => ({
  width: width + by,
  height: height + by,
})

function freest(size: Size, area: Size, frames: Rect[]): Point {
  const xs = candidates(
    frames.flatMap(({ x, width }) => [x - size.width, x, x + width - size.width, x + width]),
    area.width - size.width,
  )
  const ys = candidates(
    frames.flatMap(({ y, height }) => [y - size.height, y, y + height - size.height, y + height]),
    area.height - size.height,
  )
  let best: Point = { x: 0, y: 0 }
  let least = Number.POSITIVE_INFINITY
  for (const y of ys)
    for (const x of xs) {
      let covered = 0
      for (const frame of frames) {
        covered += overlap({ x, y, ...size }, frame)
        if (covered >= least) break
      }
      if (covered < least) {
        least = covered
        best = { x, y }
      }
    }
  return least >= size.width * size.height && frames[0] ? cascade(frames[0], size, area) : best
}

/** Positions inside the area, smallest first, each once. */
function candidates(positions: number[], most: number): number[] {
  const inside = positions.filter((position) => position > 0 && position < most)
  return [...new Set([0, ...inside, Math.max(0, most)])].sort((a, b) => a - b)
}

function cascade(from: Point, size: Size, area: Size): Point {
  const x = from.x + CASCADE
  const y = from.y + CASCADE
  const fits = x + size.width <= area.width && y + size.height <= area.height
  if (fits) return { x, y }
  // Past the edge a cascade starts anew at the top, a little further along.
  return { x: clamp(from.x % (CASCADE * 4), 0, Math.max(0, area.width - size.width)), y: 0 }
}
