import type { DesktopId } from './ids'
import type { State } from './state'

/** Along a row, or from row to row. */
export type Axis = 'row' | 'column'

/** The order broken into rows; the last row may be shorter. A line is one desktop a row. */
export function rowsOf({ order, columns }: Pick<State, 'order' | 'columns'>): DesktopId[][] {
  const rows: DesktopId[][] = []
  for (let at = 0; at < order.length; at += columns) rows.push(order.slice(at, at + columns))
  return rows
}

/** The desktops in the row, or in the column, of one of them. */
export function mates(
  state: Pick<State, 'order' | 'columns'>,
  of: DesktopId,
  axis: Axis,
): DesktopId[] {
  const at = state.order.indexOf(of)
  const same = (other: number) =>
    axis === 'row'
      ? Math.floor(other / state.columns) === Math.floor(at / state.columns)
      : other % state.columns === at % state.columns
  return state.order.filter((_, other) => same(other))
}

/**
 * The desktop one step along an axis. In a line, of one column, both axes are the line.
 * @returns null at the end where it does not go round; `from` itself when it is alone on the axis
 */
export function besideIn(
  order: DesktopId[],
  columns: number,
  from: DesktopId,
  axis: Axis,
  by: 1 | -1,
  wrap: boolean,
): DesktopId | null {
  const along = columns === 1 ? order : mates({ order, columns }, from, axis)
  const at = along.indexOf(from) + by
  if (!wrap && (at < 0 || at >= along.length)) return null
  return along[(at + along.length) % along.length] ?? null
}
