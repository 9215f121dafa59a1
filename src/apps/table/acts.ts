import type { CellActs } from './CellMenu'
import type { TableContent } from './content'
import { addColumn, addRow, fillDown, removeColumns, removeRows } from './edits'
import { onlyWith } from './looking'
import type { Selection } from './useSelection'

/** What can be done where one is in a table, by keys, tools and the menu of the cell. */
export function actsOn(
  table: TableContent,
  {
    shown,
    selection: { active, range, goTo },
    change,
    view,
    textAt,
  }: {
    /** Rows on screen, by their place among all. */
    shown: number[]
    selection: Pick<Selection, 'active' | 'range' | 'goTo'>
    change(table: TableContent): void
    /** Changes only how the table is looked at. */
    view(table: TableContent): void
    /** What a cell shows. */
    textAt(row: number, column: number): string
  },
): CellActs {
  const rows = shown.slice(Math.max(0, range.top), range.bottom + 1)
  const here = shown[active.row]
  const column = Math.max(0, active.column)
  return {
    rowAbove: () => change(addRow(table, (here ?? 0) - 1)),
    rowBelow: () => {
      change(addRow(table, here ?? table.rows.length - 1))
      goTo({ row: active.row + 1, column: active.column })
    },
    columnLeft: () => change(addColumn(table, column - 1)),
    columnRight: () => {
      change(addColumn(table, active.column))
      goTo({ row: active.row, column: active.column + 1 })
    },
    removeRows: () => change(removeRows(table, rows)),
    removeColumns: () => change(removeColumns(table, range.left, range.right)),
    fillDown: () => change(fillDown(table, rows, range.left, range.right)),
    onlyThese: () => {
      if (here !== undefined)
        view({ ...table, filter: onlyWith(table, column, textAt(here, column)) })
    },
    sort: (down) => view({ ...table, sort: { column, down } }),
    firstStays: () => view({ ...table, firstStays: !table.firstStays }),
  }
}
