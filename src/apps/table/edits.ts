import {
  carried,
  follow,
  inserted,
  type Moved,
  removed,
  type Shift,
  unmoved,
} from '@/core/formula/moved'
import { isFormula } from '@/core/formula/sheet'
import type { TableContent } from './content'

/** The changes a person makes to a table; each gives a new content and leaves the old one. */

/** A block of cells, ends included. */
export interface Cells {
  top: number
  left: number
  bottom: number
  right: number
}

export function setCell(
  table: TableContent,
  row: number,
  column: number,
  value: string,
): TableContent {
  const cells = table.rows[row]
  if (!cells || cells[column] === value) return table
  return { ...table, rows: table.rows.with(row, cells.with(column, value)) }
}

/** Puts values into single cells, in one change. */
export function putCells(
  table: TableContent,
  cells: { row: number; column: number; value: string }[],
): TableContent {
  if (cells.length === 0) return table
  const rows = [...table.rows]
  for (const { row, column, value } of cells) rows[row] = rows[row]?.with(column, value) ?? []
  return { ...table, rows }
}

/**
 * Puts values into rows that may stand anywhere, a block from a column on. Columns that are not there
 * yet are made, and so are rows beyond the last of those given.
 * @param into the rows the block goes into, in order
 */
export function putBlock(
  table: TableContent,
  into: number[],
  left: number,
  block: string[][],
): TableContent {
  const width = block.reduce((most, line) => Math.max(most, line.length), 0)
  const columns = [...table.columns]
  while (columns.length < left + width) columns.push(freshColumn(columns))
  const rows = table.rows.map((cells) => padded(cells, columns.length))
  for (const [at, line] of block.entries()) {
    const row = into[at] ?? rows.push(columns.map(() => '')) - 1
    const cells = [...(rows[row] ?? [])]
    for (const [index, value] of line.entries()) cells[left + index] = value
    rows[row] = cells
  }
  return { ...table, columns, rows }
}

const padded = (cells: string[], width: number): string[] =>
  cells.length >= width ? cells : [...cells, ...Array<string>(width - cells.length).fill('')]

/** The same value in every cell of some rows, from one column to another. */
export function fill(
  table: TableContent,
  rows: number[],
  left: number,
  right: number,
  value: string,
): TableContent {
  const line = Array<string>(right - left + 1).fill(value)
  const changed = rows.some((row) =>
    table.rows[row]?.slice(left, right + 1).some((cell) => cell !== value),
  )
  return changed
    ? putBlock(
        table,
        rows,
        left,
        rows.map(() => line),
      )
    : table
}

export const renameColumn = (table: TableContent, column: number, name: string): TableContent =>
  name.trim() ? { ...table, columns: table.columns.with(column, name.trim()) } : table

/** @param after the place of the row it comes after; -1 puts it before the first */
export const addRow = (table: TableContent, after: number): TableContent => ({
  ...table,
  rows: followed(table.rows, { row: inserted(after + 1), column: unmoved }).toSpliced(
    after + 1,
    0,
    table.columns.map(() => ''),
  ),
})

export function removeRows(table: TableContent, rows: number[]): TableContent {
  const gone = new Set(rows)
  const kept = table.rows.filter((_, at) => !gone.has(at))
  return { ...table, rows: followed(kept, { row: removed(rows), column: unmoved }) }
}

/** @param after as for rows */
export const addColumn = (table: TableContent, after: number): TableContent => ({
  ...table,
  columns: table.columns.toSpliced(after + 1, 0, freshColumn(table.columns)),
  rows: followed(table.rows, { row: unmoved, column: inserted(after + 1) }).map((cells) =>
    cells.toSpliced(after + 1, 0, ''),
  ),
  sort: sortAfter(table.sort, inserted(after + 1)),
  ...(table.widths ? { widths: table.widths.toSpliced(after + 1, 0, 0) } : {}),
})

/** At least one column stays. */
export function removeColumns(table: TableContent, left: number, right: number): TableContent {
  const count = Math.min(right - left + 1, table.columns.length - 1)
  if (count < 1) return table
  const gone = removed(Array.from({ length: count }, (_, at) => left + at))
  const rows = table.rows.map((cells) => cells.toSpliced(left, count))
  return {
    ...table,
    columns: table.columns.toSpliced(left, count),
    rows: followed(rows, { row: unmoved, column: gone }),
    sort: sortAfter(table.sort, gone),
    ...(table.widths ? { widths: table.widths.toSpliced(left, count) } : {}),
  }
}

/** The sorting goes with its column. */
function sortAfter(sort: TableContent['sort'], shift: Shift): TableContent['sort'] {
  const column = sort ? shift(sort.column) : null
  return sort && column !== null ? { ...sort, column } : null
}

/** Formulas name the cells they named before. */
const followed = (rows: string[][], moved: Moved): string[][] =>
  rows.map((cells) => (cells.some(isFormula) ? cells.map((cell) => follow(cell, moved)) : cells))

/** The first of some rows, in each of the others: formulas go along. */
export function fillDown(
  table: TableContent,
  rows: number[],
  left: number,
  right: number,
): TableContent {
  const [first = 0] = rows
  const line = table.rows[first]?.slice(left, right + 1) ?? []
  return putBlock(
    table,
    rows,
    left,
    rows.map((row) => line.map((cell) => carried(cell, row - first, 0))),
  )
}

function freshColumn(columns: string[]): string {
  for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ') if (!columns.includes(letter)) return letter
  return `Column ${columns.length + 1}`
}

/** How wide each column wants to be, in characters, from its longest cell near the top. */
export const widths = ({ columns, rows }: TableContent): number[] =>
  columns.map((name, column) => {
    const longest = rows
      .slice(0, 100)
      .reduce((most, row) => Math.max(most, row[column]?.length ?? 0), name.length + 3)
    return Math.max(7, Math.min(longest + 2, 44))
  })
