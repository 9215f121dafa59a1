import { GONE } from './scope'
import { isFormula } from './sheet'
import { type CellPlace, columnOf, lettersOf, placeOf, type Token, tokensOf } from './tokens'

/** Where a row or a column that a formula names stands now; null where it was removed. */
export type Shift = (at: number) => number | null

/** What cells are named as after a change of rows and columns. */
export interface Moved {
  row: Shift
  column: Shift
}

/** So many were put in before a place. */
export const inserted =
  (before: number, count = 1): Shift =>
  (at) =>
    at >= before ? at + count : at

/** Some were removed. */
export function removed(gone: Iterable<number>): Shift {
  const sorted = [...gone].toSorted((a, b) => a - b)
  return (at) => {
    let below = 0
    while (below < sorted.length && (sorted[below] ?? 0) < at) below++
    return sorted[below] === at ? null : at - below
  }
}

export const unmoved: Shift = (at) => at

/**
 * A formula whose cells are named as they stand after a change: a range shrinks where its ends are removed,
 * a cell that is gone is said to be so.
 */
export const follow = (formula: string, moved: Moved): string =>
  rewritten(formula, (named) => {
    const row = named.row === null ? null : moved.row(named.row)
    const column = moved.column(named.column)
    const gone = column === null || (row === null && named.row !== null)
    return gone ? null : { row, column }
  })

/** A formula as it is in a cell so many rows and columns further: what has no dollar sign goes along. */
export const carried = (formula: string, rows: number, columns: number): string =>
  rewritten(formula, ({ row, column, rowFixed, columnFixed }) => {
    const to = {
      row: row === null || rowFixed ? row : row + rows,
      column: columnFixed ? column : column + columns,
    }
    return (to.row ?? 0) < 0 || to.column < 0 ? null : to
  })

interface Named {
  /** Null for a whole column. */
  row: number | null
  column: number
  rowFixed: boolean
  columnFixed: boolean
}

type Renamed = { row: number | null; column: number } | null

function rewritten(formula: string, rename: (named: Named) => Renamed): string {
  if (!isFormula(formula)) return formula
  let tokens: Token[]
  try {
    tokens = tokensOf(formula.slice(1))
  } catch {
    // What cannot be read stays as it is.
    return formula
  }
  let text = '='
  let from = 0
  const body = formula.slice(1)
  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at] as Token
    if (token.kind !== 'cell' && token.kind !== 'column') continue
    const end = tokens[at + 1]?.text === ':' ? tokens[at + 2] : undefined
    const ranged = end?.kind === token.kind ? end : undefined
    text += body.slice(from, token.at)
    text += ranged ? rangeAfter(token, ranged, rename) : nameAfter(token, rename)
    const last = ranged ?? token
    from = last.at + last.text.length
    if (ranged) at += 2
  }
  return text + body.slice(from)
}

const namedBy = ({ kind, text }: Token): Named => {
  const whole = kind === 'column'
  const place: CellPlace = whole ? { row: 0, column: columnOf(text) } : placeOf(text)
  return {
    row: whole ? null : place.row,
    column: place.column,
    columnFixed: text.startsWith('$'),
    rowFixed: !whole && text.lastIndexOf('$') > 0,
  }
}

const nameAfter = (token: Token, rename: (named: Named) => Renamed): string => {
  const named = namedBy(token)
  const to = rename(named)
  return to ? written(named, to) : GONE
}

const written = (named: Named, { row, column }: NonNullable<Renamed>): string =>
  `${named.columnFixed ? '$' : ''}${lettersOf(column)}${row === null ? '' : `${named.rowFixed ? '$' : ''}${row + 1}`}`

/** The ends of a range that were removed go to what is left of it. */
function rangeAfter(first: Token, last: Token, rename: (named: Named) => Renamed): string {
  const [a, b] = [namedBy(first), namedBy(last)]
  const from = nearest(a, b, rename)
  const to = nearest(b, a, rename)
  return from && to ? `${written(a, from)}:${written(b, to)}` : GONE
}

function nearest(end: Named, other: Named, rename: (named: Named) => Renamed): Renamed {
  const rows = end.row === null || other.row === null ? [end.row] : between(end.row, other.row)
  for (const row of rows) {
    const kept = rename({ ...end, row })
    if (kept) return kept
  }
  for (const column of between(end.column, other.column)) {
    const kept = rename({ ...end, column })
    if (kept) return kept
  }
  return null
}

function* between(from: number, to: number): Generator<number> {
  const step = from <= to ? 1 : -1
  for (let at = from; at !== to + step; at += step) yield at
}
