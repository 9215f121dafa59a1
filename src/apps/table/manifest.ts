import { Table2 } from 'lucide-react'
import { type AppManifest, FileProblem } from '../contract'

/** Content of a table: the names of its columns, and rows of as many cells. */
export interface TableContent {
  columns: string[]
  rows: string[][]
  sort?: { column: number; down: boolean } | null
  filter?: string
}

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
  drafts: true,
  load: () => import('./Table'),
  read: async (file) => {
    const { readCsv } = await import('./csv')
    const text = await file.text()
    if (text.includes('\0')) throw new FileProblem('it is not text')
    return readCsv(text)
  },
  write: (content) => new Blob([csvOf(content as TableContent | null)], { type: 'text/csv' }),
}

/** The table as CSV (RFC 4180), rows in their own order whatever the sorting on screen. */
export function csvOf(content: TableContent | null): string {
  if (!content) return ''
  const cell = (value: string) =>
    /[",\r\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value
  return [content.columns, ...content.rows].map((row) => `${row.map(cell).join(',')}\r\n`).join('')
}
