import type { Point, Size } from './rect'

/** The corners and edges of the page, clockwise. */
export const ZONES = [
  'top left corner',
  'top edge',
  'top right corner',
  'right edge',
  'bottom right corner',
  'bottom edge',
  'bottom left corner',
  'left edge',
] as const
export type Zone = (typeof ZONES)[number]

/** As far from the edge as this the pointer is at it, and as far from another it is in the corner. */
const AT_EDGE = 2
const IN_CORNER = 28

/**
 * The corner or edge of an area a point is at, or null, in CSS pixels.
 * @param near how far from the edge still counts as at it
 */
export function zoneAt({ x, y }: Point, { width, height }: Size, near = AT_EDGE): Zone | null {
  const edges = { left: x, top: y, right: width - 1 - x, bottom: height - 1 - y }
  const { left, top, right, bottom } = edges
  if (Math.min(left, top, right, bottom) > near) return null
  const across = left <= IN_CORNER ? 'left' : right <= IN_CORNER ? 'right' : null
  const down = top <= IN_CORNER ? 'top' : bottom <= IN_CORNER ? 'bottom' : null
  if (across && down) return `${down} ${across} corner`
  const nearest = (['left', 'top', 'right', 'bottom'] as const).find((edge) => edges[edge] <= near)
  return nearest ? `${nearest} edge` : null
}
