import { clamp, type Limits, type Size, type Span } from './rect'

export const EDGES = ['left', 'right', 'top', 'bottom'] as const
export type Edge = (typeof EDGES)[number]

/** A window that fills a span. */
export interface Placed {
  id: string
  span: Span
  limits: Limits
}

const SAME = 1e-6

/** Where an edge of a span lies, in cells from the display's own edge. */
const lineOf = (span: Span, edge: Edge): number =>
  edge === 'right' || edge === 'bottom' ? span[edge] + 1 : span[edge]

const OPPOSITE: Record<Edge, Edge> = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' }

/** Whether two spans lie side by side for a way, across an edge. */
function beside(a: Span, b: Span, across: boolean): boolean {
  const [from, to] = across ? (['top', 'bottom'] as const) : (['left', 'right'] as const)
  return Math.min(a[to], b[to]) + 1 - Math.max(a[from], b[from]) > SAME
}

/** The windows that end or begin where an edge of one lies, on both sides of it. */
export function sharing(all: Placed[], id: string, edge: Edge): Placed[] {
  const of = all.find((one) => one.id === id)
  if (!of) return []
  const line = lineOf(of.span, edge)
  const across = edge === 'left' || edge === 'right'
  const at = (one: Placed, side: Edge) => Math.abs(lineOf(one.span, side) - line) < SAME
  const beyond = all.filter(
    (one) => one.id !== id && at(one, OPPOSITE[edge]) && beside(one.span, of.span, across),
  )
  // Those that stand in line with it and share the same neighbours go along.
  const along = all.filter(
    (one) => at(one, edge) && beyond.some((other) => beside(one.span, other.span, across)),
  )
  return beyond.length > 0 ? [...along, ...beyond] : []
}

/**
 * The spans of all windows at a shared edge when it is moved, as far as each of them can become
 * smaller.
 *
 * @param by in CSS pixels, to the right or down
 * @returns null where nothing shares the edge, or it cannot move
 */
export function moveEdge(
  all: Placed[],
  id: string,
  edge: Edge,
  by: number,
  area: Size,
  gap: number,
): Map<string, Span> | null {
  const moved = sharing(all, id, edge)
  if (moved.length === 0) return null
  const across = edge === 'left' || edge === 'right'
  const cell = ((across ? area.width : area.height) - gap) / 3
  const line = lineOf((all.find((one) => one.id === id) as Placed).span, edge)
  let [least, most] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY]
  // One that is too small as it is becomes no smaller, and is not pulled larger.
  for (const { span, limits } of moved) {
    const room = ((across ? limits.minWidth : limits.minHeight) + gap) / cell
    const [from, to] = across ? [span.left, span.right + 1] : [span.top, span.bottom + 1]
    if (Math.abs(to - line) < SAME) least = Math.max(least, Math.min(from + room, line))
    else most = Math.min(most, Math.max(to - room, line))
  }
  const next = clamp(line + by / cell, least, most)
  if (Math.abs(next - line) < SAME) return null
  return new Map(
    moved.map(({ id: one, span }) => {
      const ends = Math.abs(lineOf(span, across ? 'right' : 'bottom') - line) < SAME
      const side = across ? (ends ? 'right' : 'left') : ends ? 'bottom' : 'top'
      return [one, { ...span, [side]: ends ? next - 1 : next }]
    }),
  )
}
