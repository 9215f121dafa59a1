import type { Span } from './rect'

export const LAYOUTS = ['columns', 'rows', 'large', 'cells'] as const
export type Layout = (typeof LAYOUTS)[number]

/** The part of the pad between shares of its width and height, 0 to 1. */
const part = (left: number, top: number, right: number, bottom: number): Span => ({
  left: left * 3,
  top: top * 3,
  right: right * 3 - 1,
  bottom: bottom * 3 - 1,
})

/**
 * The parts of the pad that so many windows fill together, none covering another and nothing left
 * over: side by side; one below the other; the first in two thirds and the rest beside it; or in
 * cells, up to three in a row, where there are more than nine as many as make it nearest to square.
 */
export function arranged(layout: Layout, count: number): Span[] {
  const all = Array.from({ length: count }, (_, at) => at)
  if (layout === 'columns') return all.map((at) => part(at / count, 0, (at + 1) / count, 1))
  if (layout === 'rows') return all.map((at) => part(0, at / count, 1, (at + 1) / count))
  if (layout === 'cells') return inCells(count)
  if (count === 1) return [part(0, 0, 1, 1)]
  const rest = count - 1
  return all.map((at) =>
    at === 0 ? part(0, 0, 2 / 3, 1) : part(2 / 3, (at - 1) / rest, 1, at / rest),
  )
}

/** The last row shares its width among those it has. */
function inCells(count: number): Span[] {
  const across =
    count <= 9 ? Math.min(3, Math.ceil(count / Math.ceil(count / 3))) : Math.ceil(Math.sqrt(count))
  const rows = Math.ceil(count / across)
  return Array.from({ length: count }, (_, at) => {
    const row = Math.floor(at / across)
    const inRow = Math.min(across, count - row * across)
    const column = at % across
    return part(column / inRow, row / rows, (column + 1) / inRow, (row + 1) / rows)
  })
}
