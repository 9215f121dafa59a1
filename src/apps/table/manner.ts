import Papa from 'papaparse'

/** How the file of a table was written, where that is not as tables are written here. */
export interface Manner {
  /** Between cells. */
  separator?: string
  /** Lines end with `\n` alone. */
  bare?: boolean
  /** Every cell stands in quotes. */
  quoted?: boolean
  /** The last line does not end. */
  open?: boolean
}

/** So much of a text is looked at, in characters. */
const LOOKED_AT = 40_000

/** @returns undefined where it is written as tables are here: commas, `\r\n`, quotes where they are needed */
export function mannerOf(text: string): Manner | undefined {
  const part = text.slice(0, LOOKED_AT)
  const { data, meta } = Papa.parse<string[]>(part, { preview: 50, skipEmptyLines: 'greedy' })
  const cells = data.flat().length
  const inQuotes = part
    .split(/\r?\n/)
    .slice(0, data.length)
    .every((line) => line === '' || (line.startsWith('"') && line.endsWith('"')))
  const manner: Manner = {
    ...(meta.delimiter && meta.delimiter !== ',' && { separator: meta.delimiter }),
    ...(/(^|[^\r])\n/.test(part) && { bare: true }),
    ...(cells > 0 && inQuotes && { quoted: true }),
    ...(!/\n$/.test(text) && { open: true }),
  }
  return Object.keys(manner).length ? manner : undefined
}
