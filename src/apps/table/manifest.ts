import { Table2 } from 'lucide-react'
import type { AppManifest } from '../contract'
import { bytesOf, readTextFile } from '../encoding'
import { TABLE, type TableContent } from './content'
import { csvOf, runningCells, workedOut } from './toCsv'

/** Text longer than this is read off the page, in characters. */
const LARGE = 200_000

export const table: AppManifest<TableContent> = {
  id: 'table',
  name: 'Table',
  plural: 'tables',
  untitled: 'New table',
  glyph: Table2,
  width: 520,
  height: 340,
  limits: { minWidth: 260, minHeight: 160 },
  opens: ['.csv', '.tsv'],
  extension: () => '.csv',
  contents: TABLE,
  drafts: true,
  keys: [
    ['Ctrl+F', 'find and replace'],
    ['Ctrl+/', 'filter rows'],
    ['Ctrl+Shift+F', 'fill down'],
    ['Ctrl+Enter', 'row below'],
    ['Ctrl+Shift+Enter', 'column at the right'],
    ['Ctrl+Backspace', 'remove rows; with Shift columns'],
    ['Ctrl+Home', 'first cell; Ctrl+End the last'],
    ['Shift+F10', 'cell menu'],
    ['Ctrl+P', 'print'],
  ],
  load: () => import('./Table'),
  read: async (file, working) => {
    const { text, ...written } = await readTextFile(file)
    const content =
      text.length < LARGE
        ? (await import('./csv')).readCsv(text)
        : await (await import('./readLarge')).readLarge(text, working)
    const manner = (await import('./manner')).mannerOf(text)
    return { ...content, ...written, ...(manner && { manner }) }
  },
  write: (content) => csvFile(content, false),
  writes: (table, now) => {
    const count = runningCells(table)
    if (count === 0) return null
    return {
      why: `${count === 1 ? '1 cell begins' : `${count} cells begin`} with =, +, - or @. A spreadsheet that opens the file may take it for a formula and run it.`,
      ways: [
        { label: 'As text, with ’ before them', write: () => csvFile(table, true) },
        { label: 'As they are', write: () => csvFile(table, false) },
        { label: 'With their results', write: () => csvFile(workedOut(table, now), true) },
      ],
    }
  },
}

const csvFile = (table: TableContent, asText: boolean): Blob =>
  new Blob([bytesOf(csvOf(table, asText), table.encoding)], { type: 'text/csv' })
