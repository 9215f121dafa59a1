import Papa from 'papaparse'
import { FileProblem } from '../contract'
import type { TableContent } from './content'

/** More columns than this are no table any more. */
const COLUMNS_MOST = 2000

/**
 * A table from CSV or tab-separated text; the first line names the columns. Short rows are
 * filled up, long ones get columns of their own, so that nothing is lost.
 * @throws FileProblem with the line when a quote is not closed, or when there is nothing in it
 */
export function readCsv(text: string): TableContent {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
  })
  const broken = errors.find(({ type }) => type === 'Quotes')
  if (broken) throw new FileProblem(`line ${(broken.row ?? 0) + 1} has a quote that is not closed`)
  const [first, ...rows] = data
  if (!first) throw new FileProblem('there is nothing in it')
  const width = data.reduce((most, { length }) => Math.max(most, length), 0)
  if (width > COLUMNS_MOST)
    throw new FileProblem(`it has ${width} columns; ${COLUMNS_MOST} is the most`)
  const fill = (row: string[]) => [...row, ...Array<string>(width - row.length).fill('')]
  return {
    columns: fill(first).map((name, index) => name.trim() || `Column ${index + 1}`),
    rows: rows.map(fill),
  }
}
