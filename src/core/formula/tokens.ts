import { FormulaProblem } from './problem'

/** A place in a table, from 0. */
export interface CellPlace {
  row: number
  column: number
}

export interface Token {
  kind: 'number' | 'day' | 'text' | 'cell' | 'column' | 'name' | 'sign'
  /** As it is written. */
  text: string
  /** Where it begins in the formula. */
  at: number
}

const SPACE = /\s+/y
const DAY = /\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])(?!\d)/y
const NUMBER = {
  '.': /(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/iy,
  ',': /(?:\d+,?\d*|,\d+)(?:e[+-]?\d+)?/iy,
}
const TEXT = /"(?:[^"]|"")*"/y
const CELL = /\$?[a-z]{1,3}\$?[1-9]\d{0,6}(?![\p{L}\p{N}_(])/iuy
/** Only beside a colon: “B:B” is the whole column, “b” alone a name. */
const COLUMN = /(?<=:\s*)\$?[a-z]{1,3}(?![\p{L}\p{N}_(])|\$?[a-z]{1,3}(?=\s*:)/iuy
const NAME = /\p{L}[\p{L}\p{N}_.]*/uy
const SIGN = /<=|>=|<>|!=|==|[-+−*×/÷^%()=<>,;:&]/y

/**
 * The parts of a formula.
 * @param decimal between units and tenths; with a comma, semicolons part what is given to a function
 * @throws FormulaProblem at a sign that means nothing
 */
export function tokensOf(formula: string, decimal: '.' | ',' = '.'): Token[] {
  const tokens: Token[] = []
  const kinds: [Token['kind'] | null, RegExp][] = [
    [null, SPACE],
    ['day', DAY],
    ['number', NUMBER[decimal]],
    ['text', TEXT],
    ['cell', CELL],
    ['column', COLUMN],
    ['name', NAME],
    ['sign', SIGN],
  ]
  let at = 0
  while (at < formula.length) {
    const before = at
    for (const [kind, pattern] of kinds) {
      pattern.lastIndex = at
      const text = pattern.exec(formula)?.[0]
      if (!text) continue
      if (kind) tokens.push({ kind, text, at })
      at += text.length
      break
    }
    if (at > before) continue
    if (formula[at] === '"') throw new FormulaProblem('a quote is not closed')
    throw new FormulaProblem(`“${[...formula.slice(at)][0]}” isn’t expected here`)
  }
  return tokens
}

/** Of letters and a number such as “AB12”, with or without dollar signs. */
export function placeOf(text: string): CellPlace {
  const [, letters = '', row = ''] =
    /^([A-Z]+)(\d+)$/.exec(text.replaceAll('$', '').toUpperCase()) ?? []
  return { row: Number(row) - 1, column: columnOf(letters) }
}

/** The place of a column by its letters: A is 0, Z 25, AA 26. */
export function columnOf(letters: string): number {
  let column = 0
  for (const letter of letters.replace('$', '').toUpperCase())
    column = column * 26 + letter.charCodeAt(0) - 64
  return column - 1
}

/** The letters of a column: 0 is A, 26 AA. */
export function lettersOf(column: number): string {
  let letters = ''
  for (let left = column + 1; left > 0; left = Math.floor((left - 1) / 26))
    letters = String.fromCharCode(65 + ((left - 1) % 26)) + letters
  return letters
}
