import { isFormula } from '@/core/formula/sheet'
import { type Forms, PLAIN } from '@/core/formula/value'
import type { TableContent } from './content'
import { sheetOf, textAt } from './looking'

/** What a spreadsheet may run: it begins like a formula and is no number. */
const runs = (cell: string): boolean =>
  /^[=+\-@\t\r]/.test(cell) && !/^[+-]?[\d.,\s]+%?$/.test(cell)

/** How many cells a spreadsheet may run. */
export const runningCells = ({ columns, rows }: TableContent): number =>
  [columns, ...rows].reduce((sum, cells) => sum + cells.filter(runs).length, 0)

/**
 * The table as CSV (RFC 4180), rows in their own order whatever the sorting on screen; written as its file
 * was, where it has one.
 * @param asText puts an apostrophe before what a spreadsheet may run
 */
export function csvOf({ columns, rows, manner = {} }: TableContent, asText = false): string {
  const { separator = ',', bare, quoted, open } = manner
  const cell = (value: string) => {
    const safe = asText && runs(value) ? `'${value}` : value
    const needs = quoted || safe.includes(separator) || /["\r\n]/.test(safe)
    return needs ? `"${safe.replaceAll('"', '""')}"` : safe
  }
  const end = bare ? '\n' : '\r\n'
  const lines = [columns, ...rows].map((row) => row.map(cell).join(separator))
  return lines.join(end) + (open ? '' : end)
}

/** The table with what its formulas come to, where they come to something. */
export function workedOut(content: TableContent, now: number, forms: Forms = PLAIN): TableContent {
  const sheet = sheetOf(content, forms, now)
  return {
    ...content,
    rows: content.rows.map((cells, row) =>
      cells.some(isFormula)
        ? cells.map((_, column) => textAt(content, sheet, forms, row, column))
        : cells,
    ),
  }
}
