import { Sheet } from '@/core/formula/sheet'
import {
  type Comparison,
  compareValues,
  dayOf,
  type Forms,
  meets,
  readValue,
  type Value,
  writeValue,
} from '@/core/formula/value'
import type { TableContent } from './content'

/** How a table is looked at: which rows are shown, in which order. */

/**
 * What the cells of a table come to.
 * @param now in milliseconds since 1970
 */
export function sheetOf(
  { rows, columns }: Pick<TableContent, 'rows' | 'columns'>,
  forms: Forms,
  now: number,
): Sheet {
  return new Sheet(rows, columns.length, forms, dayOf(now))
}

/** What a cell shows: what it comes to, or why it comes to nothing. */
export function textAt(
  { rows }: Pick<TableContent, 'rows'>,
  sheet: Sheet,
  forms: Forms,
  row: number,
  column: number,
): string {
  const text = rows[row]?.[column] ?? ''
  if (!text.startsWith('=')) return text
  const worked = sheet.at(row, column)
  if ('problem' in worked) return worked.problem
  return writeValue(worked.value, forms)
}

/** What the cells of one column have to be. */
interface Clause {
  column: number
  operator: Comparison | ':'
  wanted: string
}

/**
 * A filter that speaks of columns, such as “station: kestrel”, “new cm > 10” or several with “and” between.
 * @returns null where it does not: then it is a text that any cell may have
 */
function clausesOf(filter: string, columns: string[]): Clause[] | null {
  const clauses: Clause[] = []
  for (const part of filter.split(/\s+and\s+/i)) {
    const clause = clauseOf(part, columns)
    if (!clause) return null
    clauses.push(clause)
  }
  return clauses
}

function clauseOf(part: string, columns: string[]): Clause | null {
  const [, name = '', operator, wanted = ''] =
    /^(.+?)\s*(<=|>=|<>|=|<|>|:)\s*(.*)$/.exec(part) ?? []
  const column = columns.findIndex((one) => one.toLowerCase() === name.trim().toLowerCase())
  return column < 0 ? null : { column, operator: operator as Clause['operator'], wanted }
}

function fits({ operator, wanted }: Clause, text: string, value: Value, forms: Forms): boolean {
  if (operator === ':') return text.toLowerCase().includes(wanted.toLowerCase())
  return meets(value, operator, readValue(wanted, forms))
}

/** The rows on screen: those that match the filter, in the sorted order, by their index. */
export function shownRows(table: TableContent, sheet: Sheet, forms: Forms): number[] {
  const { rows, columns, sort, filter } = table
  const wanted = filter?.trim().toLowerCase()
  const clauses = wanted ? clausesOf(filter?.trim() ?? '', columns) : null
  const value = (row: number, column: number): Value => {
    const worked = sheet.at(row, column)
    return 'value' in worked ? worked.value : worked.problem
  }
  const text = (row: number, column: number) => textAt(table, sheet, forms, row, column)
  const matches = (row: number) => {
    if (!wanted) return true
    if (!clauses)
      return columns.some((_, column) => text(row, column).toLowerCase().includes(wanted))
    return clauses.every((clause) =>
      fits(clause, text(row, clause.column), value(row, clause.column), forms),
    )
  }
  const found = [...rows.keys()].filter(matches)
  if (!sort) return found
  const keys = new Map(found.map((row) => [row, value(row, sort.column)]))
  const by = (row: number) => keys.get(row) ?? ''
  // Empty cells stand last, whichever way it is sorted.
  return found.sort(
    (a, b) =>
      Number(by(a) === '') - Number(by(b) === '') ||
      compareValues(by(a), by(b)) * (sort.down ? -1 : 1),
  )
}

/** What the numbers in some cells come to. */
export interface Figures {
  count: number
  sum: number
  average: number
  least: number
  most: number
}

/** @returns null where there are fewer numbers than it takes */
export function figuresOf(values: Iterable<Value>, least = 2): Figures | null {
  const figures = {
    count: 0,
    sum: 0,
    least: Number.POSITIVE_INFINITY,
    most: Number.NEGATIVE_INFINITY,
  }
  for (const value of values) {
    if (typeof value !== 'number') continue
    figures.count++
    figures.sum += value
    figures.least = Math.min(figures.least, value)
    figures.most = Math.max(figures.most, value)
  }
  return figures.count < least ? null : { ...figures, average: figures.sum / figures.count }
}

/** Where Ctrl and an arrow go: to the end of what is filled, or to where something is again. */
export function edgeFrom(
  filled: (at: number) => boolean,
  from: number,
  step: 1 | -1,
  count: number,
): number {
  const last = step > 0 ? count - 1 : 0
  if (from === last || count === 0) return Math.max(0, from)
  let at = from + step
  const through = filled(Math.max(0, from)) && filled(at)
  while (at !== last && filled(at + (through ? step : 0)) === through) at += step
  return at
}

/** Where Ctrl and an arrow go from a cell. */
export function edgeOf(
  { rows, columns }: TableContent,
  shown: number[],
  from: { row: number; column: number },
  [down, across]: readonly [rows: number, columns: number],
): { row: number; column: number } {
  const filled = (row: number, column: number) => rows[shown[row] ?? -1]?.[column] !== ''
  const way = Math.sign(down || across) as 1 | -1
  if (down)
    return {
      ...from,
      row: edgeFrom((row) => filled(row, from.column), from.row, way, shown.length),
    }
  const column = edgeFrom((at) => filled(from.row, at), from.column, way, columns.length)
  return { ...from, column }
}

/** A filter for the rows that have a text in a column, beside what is asked for already. */
export function onlyWith({ columns, filter }: TableContent, column: number, text: string): string {
  const clause = `${columns[column]} = ${text}`
  return filter && clausesOf(filter, columns) ? `${filter} and ${clause}` : clause
}
