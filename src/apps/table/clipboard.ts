import Papa from 'papaparse'
import { array, number, object, string } from 'yup'

/** Cells as other programs put them on the clipboard and take them from it: tabs between, quoted where needed. */

/** A block of cells as text. */
export const toText = (block: string[][]): string =>
  Papa.unparse(block, { delimiter: '\t', newline: '\n' })

/** Text from the clipboard as a block of cells; a text without tabs and line ends is one cell. */
export function toBlock(text: string): string[][] {
  const trimmed = text.replace(/(\r\n|\r|\n)$/, '')
  if (trimmed === '') return []
  const { data, errors } = Papa.parse<string[]>(trimmed, { delimiter: '\t' })
  // A quote that is not closed is a character like others.
  if (errors.some(({ type }) => type === 'Quotes'))
    return trimmed.split(/\r\n|\r|\n/).map((line) => line.split('\t'))
  return data
}

/** Cells of our own beside their text: with their formulas, and where they were. */
export interface CopiedCells {
  cells: string[][]
  /** Their rows among all rows, and the first of their columns; none where they were cut: then they go as they are. */
  from: { rows: number[]; column: number } | null
}

const OWN = 'application/x-kite-shelf-cells'

export const putOwn = (data: DataTransfer, copied: CopiedCells): void =>
  data.setData(OWN, JSON.stringify(copied))

const SHAPE = object({
  cells: array(array(string().defined()).required()).required(),
  from: object({
    rows: array(number().integer().min(0).required()).required(),
    column: number().integer().min(0).required(),
  })
    .nullable()
    .defined(),
})

/** What is on the clipboard: cells of our own, or a text as a block of cells. */
export function copiedIn(data: DataTransfer): CopiedCells {
  try {
    const own = JSON.parse(data.getData(OWN)) as unknown
    if (SHAPE.isValidSync(own, { strict: true })) return own
  } catch {
    // No cells of our own: the text beside them is taken.
  }
  return { cells: toBlock(data.getData('text/plain')), from: null }
}
