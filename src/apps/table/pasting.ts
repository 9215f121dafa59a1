import { carried } from '@/core/formula/moved'
import type { CopiedCells } from './clipboard'
import type { TableContent } from './content'
import { type Cells, putBlock } from './edits'

/** Cells with their formulas, and where they are. */
export const copiedFrom = (
  { rows }: TableContent,
  from: number[],
  { left, right }: Cells,
): CopiedCells => ({
  cells: from.map((at) => rows[at]?.slice(left, right + 1) ?? []),
  from: { rows: from, column: left },
})

/** Whether one cell was copied, which fills all that is chosen. */
export const isSingle = ({ cells }: CopiedCells): boolean =>
  cells.length === 1 && cells[0]?.length === 1

/** One cell in each of some others; a formula goes along. */
export function filledWith(
  table: TableContent,
  rows: number[],
  { left, right }: Cells,
  { cells, from }: CopiedCells,
): TableContent {
  const cell = cells[0]?.[0] ?? ''
  const width = right - left + 1
  const gone = (row: number, column: number) =>
    from ? carried(cell, row - (from.rows[0] ?? row), column - from.column) : cell
  return putBlock(
    table,
    rows,
    left,
    rows.map((row) => Array.from({ length: width }, (_, at) => gone(row, left + at))),
  )
}

/**
 * Cells from a place on: formulas go along from where they were.
 * @param shown the rows on screen, by their place among all; what goes beyond them makes new ones
 */
export function pasted(
  table: TableContent,
  shown: number[],
  at: { row: number; column: number },
  { cells, from }: CopiedCells,
): TableContent {
  const into = shown.slice(at.row, at.row + cells.length)
  const left = Math.max(0, at.column)
  const rowOf = (index: number) => into[index] ?? table.rows.length + index - into.length
  const block = from
    ? cells.map((line, index) => {
        const down = rowOf(index) - (from.rows[index] ?? rowOf(index))
        return line.map((cell) => carried(cell, down, left - from.column))
      })
    : cells
  return putBlock(table, into, left, block)
}
