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

export const addRow = (table: TableContent, after: number): TableContent => ({
  ...table,
  rows: table.rows.toSpliced(
    after + 1,
    0,
    table.columns.map(() => ''),
  ),
})

export function removeRows(table: TableContent, rows: number[]): TableContent {
  const gone = new Set(rows)
  return { ...table, rows: table.rows.filter((_, at) => !gone.has(at)) }
}

export const addColumn = (table: TableContent, after: number): TableContent => ({
  ...table,
  columns: table.columns.toSpliced(after + 1, 0, freshColumn(table.columns)),
  rows: table.rows.map((cells) => cells.toSpliced(after + 1, 0, '')),
  sort: null,
})

/** At least one column stays. */
export function removeColumns(table: TableContent, left: number, right: number): TableContent {
  const count = Math.min(right - left + 1, table.columns.length - 1)
  if (count < 1) return table
  return {
    ...table,
    columns: table.columns.toSpliced(left, count),
    rows: table.rows.map((cells) => cells.toSpliced(left, count)),
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
