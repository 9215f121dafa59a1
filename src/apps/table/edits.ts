import type { TableContent } from './manifest'

/** The changes a person makes to a table; each gives a new content and leaves the old one. */

export const EMPTY: TableContent = {
  columns: ['A', 'B', 'C'],
  rows: Array.from({ length: 4 }, () => ['', '', '']),
}

export function setCell(
  table: TableContent,
  row: number,
  column: number,
  value: string,
): TableContent {
  if (table.rows[row]?.[column] === value) return table
  const rows = table.rows.map((cells, at) => (at === row ? cells.with(column, value) : cells))
  return { ...table, rows }
}

export const renameColumn = (table: TableContent, column: number, name: string): TableContent =>
  name.trim() ? { ...table, columns: table.columns.with(column, name.trim()) } : table

export const addRow = (table: TableContent, after: number): TableContent => ({
  ...table,
  rows: table.rows.toSpliced(
    after + 1,
    0,
    table.columns.map(() => ''),
  ),
})

export const removeRow = (table: TableContent, row: number): TableContent => ({
  ...table,
  rows: table.rows.toSpliced(row, 1),
})

export const addColumn = (table: TableContent, after: number): TableContent => ({
  ...table,
  columns: table.columns.toSpliced(after + 1, 0, freshColumn(table.columns)),
  rows: table.rows.map((cells) => cells.toSpliced(after + 1, 0, '')),
  sort: null,
})

/** The last column stays. */
export function removeColumn(table: TableContent, column: number): TableContent {
  if (table.columns.length === 1) return table
  return {
    ...table,
    columns: table.columns.toSpliced(column, 1),
    rows: table.rows.map((cells) => cells.toSpliced(column, 1)),
    sort: null,
  }
}

/** Ascending, descending, then as the rows stand. */
export function sortBy(table: TableContent, column: number): TableContent {
  const { sort } = table
  if (sort?.column !== column) return { ...table, sort: { column, down: false } }
  return { ...table, sort: sort.down ? null : { column, down: true } }
}

function freshColumn(columns: string[]): string {
  for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ') if (!columns.includes(letter)) return letter
  return `Column ${columns.length + 1}`
}

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' })

/** A cell as a number where it is one; the minus of typeset tables counts. */
const asNumber = (text: string): number => Number(text.trim().replace('−', '-') || Number.NaN)

/** The rows on screen: those that match the filter, in the sorted order, by their index. */
export function shownRows({ rows, sort, filter }: TableContent): number[] {
  const wanted = filter?.trim().toLowerCase()
  const found = [...rows.keys()].filter(
    (row) => !wanted || rows[row]?.some((cell) => cell.toLowerCase().includes(wanted)),
  )
  if (!sort) return found
  const { column, down } = sort
  const cell = (row: number) => rows[row]?.[column] ?? ''
  const compare = (a: number, b: number) => {
    const difference = asNumber(cell(a)) - asNumber(cell(b))
    return Number.isNaN(difference) ? collator.compare(cell(a), cell(b)) : difference
  }
  // Empty cells stand last, whichever way it is sorted.
  return found.sort(
    (a, b) =>
      Number(cell(a) === '') - Number(cell(b) === '') || (down ? -compare(a, b) : compare(a, b)),
  )
}

/** How wide each column wants to be, in characters, from its longest cell near the top. */
export const widths = ({ columns, rows }: TableContent): number[] =>
  columns.map((name, column) => {
    const longest = rows
      .slice(0, 100)
      .reduce((most, row) => Math.max(most, row[column]?.length ?? 0), name.length + 3)
    return Math.max(7, Math.min(longest + 2, 44))
  })
