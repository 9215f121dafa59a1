import { Table2 } from 'lucide-react'
import { array, number, object, string } from 'yup'
import { flag, rows, text } from '../contents'
import type { AppManifest } from '../contract'
import { bytesOf, readTextFile } from '../encoding'

/** Content of a table: the names of its columns, and rows of as many cells. */
export interface TableContent {
  columns: string[]
  rows: string[][]
  sort?: { column: number; down: boolean } | null
  filter?: string
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
}

/** Text longer than this is read off the page, in characters. */
const LARGE = 200_000

export const table: AppManifest = {
  id: 'table',
  name: 'Table',
  plural: 'tables',
  untitled: 'New table',
  glyph: Table2,
  width: 520,
  height: 340,
  limits: { minWidth: 260, minHeight: 160 },
  opens: ['.csv', '.tsv'],
  extension: '.csv',
  content: object({
    columns: array(text()).required().max(2000),
    rows: rows(),
    sort: object({ column: number().integer().min(0).required(), down: flag().required() })
      .nullable()
      .default(undefined),
    filter: string(),
    encoding: string(),
  }),
  drafts: true,
  load: () => import('./Table'),
  read: async (file, working) => {
    const { text, ...written } = await readTextFile(file)
    const content =
      text.length < LARGE
        ? (await import('./csv')).readCsv(text)
        : await (await import('./readLarge')).readLarge(text, working)
    return { ...content, ...written } satisfies TableContent
  },
  write: (content) => csvFile(content as TableContent | null, false),
  writes: (content) => {
    const table = content as TableContent | null
    const count = table ? runningCells(table) : 0
    if (!table || count === 0) return null
    return {
      why: `${count === 1 ? '1 cell begins' : `${count} cells begin`} with =, +, - or @. A spreadsheet that opens the file may take it for a formula and run it.`,
      ways: [
        { label: 'As text, with ’ before them', write: () => csvFile(table, true) },
        { label: 'As they are', write: () => csvFile(table, false) },
      ],
    }
  },
}

const csvFile = (table: TableContent | null, asText: boolean): Blob =>
  new Blob([bytesOf(csvOf(table, asText), table?.encoding)], { type: 'text/csv' })

/** What a spreadsheet may run: it begins like a formula and is no number. */
const runs = (cell: string): boolean =>
  /^[=+\-@\t\r]/.test(cell) && !/^[+-]?[\d.,\s]+%?$/.test(cell)

/** How many cells a spreadsheet may run. */
export const runningCells = ({ columns, rows }: TableContent): number =>
  [columns, ...rows].reduce((sum, cells) => sum + cells.filter(runs).length, 0)

/**
 * The table as CSV (RFC 4180), rows in their own order whatever the sorting on screen.
 * @param asText puts an apostrophe before what a spreadsheet may run
 */
export function csvOf(content: TableContent | null, asText = false): string {
  if (!content) return ''
  const cell = (value: string) => {
    const safe = asText && runs(value) ? `'${value}` : value
    return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
  }
  return [content.columns, ...content.rows].map((row) => `${row.map(cell).join(',')}\r\n`).join('')
}
