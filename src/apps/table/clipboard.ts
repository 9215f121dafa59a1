import Papa from 'papaparse'

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
