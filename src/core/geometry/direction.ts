import type { Rect } from './rect'

export const DIRECTIONS = ['left', 'right', 'up', 'down'] as const
export type Direction = (typeof DIRECTIONS)[number]

/** The arrow keys, as a browser names them. */
export const ARROWS: Record<string, Direction> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
}

/** Where something is, or is not. */
export const WHERE: Record<Direction, string> = {
  left: 'to the left',
  right: 'to the right',
  up: 'above',
  down: 'below',
}

const VECTORS: Record<Direction, [x: number, y: number]> = {
  left: [-1, 0],
  right: [1, 0],
  up: [0, -1],
  down: [0, 1],
}

/**
 * The nearest frame in a direction: among those whose centre lies there within 60° of it, the
 * least of distance along + 2 × offset across, in CSS pixels. Ties go to the first listed.
 *
 * @returns the frame's index, or null when none lies there
 */
export function nearest(from: Rect, frames: Rect[], direction: Direction): number | null {
  const [dx, dy] = VECTORS[direction]
  let best: number | null = null
  let least = Number.POSITIVE_INFINITY
  frames.forEach((frame, index) => {
    const x = frame.x + frame.width / 2 - (from.x + from.width / 2)
    const y = frame.y + frame.height / 2 - (from.y + from.height / 2)
    const along = x * dx + y * dy
    const across = Math.abs(x * dy - y * dx)
    if (along <= 0 || across > along * Math.tan(Math.PI / 3) + 1e-9) return
    const cost = along + 2 * across
    if (cost >= least) return
    least = cost
    best = index
  })
  return best
}
