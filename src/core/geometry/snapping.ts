import type { Rect, Size } from './rect'

/** How near edges have to come to attract each other, in CSS pixels. */
const WITHIN = 8

export interface Snap {
  x: number
  y: number
  /** The line the window's edge has come to, or null. */
  guideX: number | null
  guideY: number | null
}

/** The nearest line to one of two edges. Ties go to the first edge, then the first line. */
function pull(at: number, length: number, lines: number[]): { at: number; line: number | null } {
  let best: { at: number; line: number | null } = { at, line: null }
  let least = WITHIN + 1
  for (const edge of [0, length])
    for (const line of lines) {
      const far = Math.abs(at + edge - line)
      if (far < least) {
        least = far
        best = { at: line - edge, line }
      }
    }
  return best
}

/**
 * Where a window that is dragged comes to rest: its edges go to edges of others near by, and of the
 * display, also a gap away from them.
 *
 * @param others frames of windows that can be seen
 */
export function snap(frame: Rect, others: Rect[], area: Size, gap: number): Snap {
  const near = others.filter(
    (other) =>
      frame.x <= other.x + other.width + WITHIN + gap &&
      other.x <= frame.x + frame.width + WITHIN + gap &&
      frame.y <= other.y + other.height + WITHIN + gap &&
      other.y <= frame.y + frame.height + WITHIN + gap,
  )
  const lines = (start: 'x' | 'y', length: 'width' | 'height') => [
    0,
    area[length],
    gap,
    area[length] - gap,
    ...near.flatMap((other) => {
      const [from, to] = [other[start], other[start] + other[length]]
      return [from, to, from - gap, to + gap]
    }),
  ]
  const x = pull(frame.x, frame.width, lines('x', 'width'))
  const y = pull(frame.y, frame.height, lines('y', 'height'))
  return { x: x.at, y: y.at, guideX: x.line, guideY: y.line }
}
