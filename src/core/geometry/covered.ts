import type { Rect } from './rect'

/** The corner of a window that is cut off, at its top right, in CSS pixels: there one sees what is behind. */
const CUT = 14

/**
 * Which of some windows lie wholly behind those above them, so that nothing of them is seen.
 * @param frames of windows that hide what is behind, the lowest first, in CSS pixels
 */
export function covered(frames: readonly Rect[]): boolean[] {
  const all = frames.map(filled)
  return frames.map((_, at) => {
    let left = all[at] as Rect[]
    for (const above of all.slice(at + 1).flat()) {
      if (left.length === 0) break
      left = left.flatMap((rect) => without(rect, above))
    }
    return left.length === 0
  })
}

/** What a window fills, as two rectangles: all but the square its cut corner lies in. */
const filled = ({ x, y, width, height }: Rect): Rect[] =>
  [
    { x, y, width: width - CUT, height },
    { x: x + width - CUT, y: y + CUT, width: CUT, height: height - CUT },
  ].filter(hasArea)

const hasArea = ({ width, height }: Rect): boolean => width > 0 && height > 0

/** What is left of a rectangle beside another: at most four rectangles. */
function without(rect: Rect, other: Rect): Rect[] {
  const right = rect.x + rect.width
  const bottom = rect.y + rect.height
  const left = Math.max(rect.x, other.x)
  const top = Math.max(rect.y, other.y)
  const width = Math.min(right, other.x + other.width) - left
  const height = Math.min(bottom, other.y + other.height) - top
  if (width <= 0 || height <= 0) return [rect]
  return [
    { ...rect, height: top - rect.y },
    { ...rect, y: top + height, height: bottom - top - height },
    { x: rect.x, y: top, width: left - rect.x, height },
    { x: left + width, y: top, width: right - left - width, height },
  ].filter(hasArea)
}
