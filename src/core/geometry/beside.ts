import { clamp, overlap, type Point, type Rect, type Size } from './rect'

/** How far a card stands from what it is about, in CSS pixels. */
const AWAY = 12

/**
 * Where a card stands beside a frame, within an area: at its right, left, below or above, the
 * first where it does not cover the frame; where it must, in the corner that covers the least.
 */
export function beside(frame: Rect, card: Size, area: Size): Point {
  const within = ({ x, y }: Point): Point => ({
    x: clamp(x, AWAY, Math.max(AWAY, area.width - card.width - AWAY)),
    y: clamp(y, AWAY, Math.max(AWAY, area.height - card.height - AWAY)),
  })
  const [right, bottom] = [frame.x + frame.width, frame.y + frame.height]
  const sides = [
    { x: right + AWAY, y: frame.y },
    { x: frame.x - card.width - AWAY, y: frame.y },
    { x: frame.x, y: bottom + AWAY },
    { x: frame.x, y: frame.y - card.height - AWAY },
    { x: area.width, y: area.height },
    { x: 0, y: area.height },
    { x: area.width, y: 0 },
    { x: 0, y: 0 },
  ].map(within)
  const covered = (at: Point) => overlap(frame, { ...at, ...card })
  return sides.reduce((best, at) => (covered(at) < covered(best) ? at : best))
}
