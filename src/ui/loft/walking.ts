import type { Shelves } from '@/core/geometry/shelves'
import type { WindowId } from '@/core/model/ids'
import { stack } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { LoftRow } from './rows'

/** What is walked to: a row by its name, or a window on it. */
export interface Choice {
  row: string
  window: WindowId | null
}

/** The choice, or what stands nearest when it is gone. */
export function settle(choice: Choice, rows: LoftRow[]): Choice {
  const holds = ({ windows }: LoftRow) => windows.some(({ id }) => id === choice.window)
  const row = rows.find(({ id, thin }) => id === choice.row && !thin)
  if (row && (choice.window === null || holds(row))) return { row: row.id, window: choice.window }
  if (row) return { row: row.id, window: row.windows.at(-1)?.id ?? null }
  const other = rows.find(holds) ?? rows.find(({ thin }) => !thin)
  if (!other) return choice
  return { row: other.id, window: holds(other) ? choice.window : (other.windows[0]?.id ?? null) }
}

/**
 * A step to the left or right: first the row's name, then its windows; beyond them to the row in the
 * next column, at the same height.
 */
export function aside(choice: Choice, rows: LoftRow[], shelves: Shelves, by: 1 | -1): Choice {
  const { row, window } = choice
  if (isChip(row, rows)) return alongChips(choice, rows, by)
  const windows = rows.find(({ id }) => id === row)?.windows ?? []
  const at = windows.findIndex(({ id }) => id === window) + by
  if (at >= -1 && at < windows.length) return { row, window: windows[at]?.id ?? null }
  const there = beside(choice, rows, shelves, by)
  if (!there) return choice
  // The end of its nearest line that one comes to.
  const y = baselineOf(window, shelves) ?? heightOf(choice, shelves)
  const [line] = linesOf(there, shelves).sort((a, b) => Math.abs(a - y) - Math.abs(b - y))
  const on = there.windows.filter(({ id }) => baselineOf(id, shelves) === line)
  return { row: there.id, window: on.at(by > 0 ? 0 : -1)?.id ?? null }
}

/** Where the choice stands, from the top. */
const heightOf = ({ row, window }: Choice, { rows, places }: Shelves): number =>
  (window ? places[window]?.y : rows.find(({ id }) => id === row)?.top) ?? 0

/** The row in the column beside, at the height of the choice. */
function beside(choice: Choice, rows: LoftRow[], shelves: Shelves, by: 1 | -1): LoftRow | null {
  const here = shelves.rows.find(({ id }) => id === choice.row)
  const y = heightOf(choice, shelves)
  const columns = shelves.rows.filter(({ id }) => !isChip(id, rows))
  const lefts = [...new Set(columns.map(({ left }) => left))]
  const left = lefts[lefts.indexOf(here?.left ?? 0) + by]
  const there = columns.filter((one) => one.left === left && !isThin(one.id, rows))
  const at = there.findLast(({ top }) => top <= y) ?? there[0]
  return rows.find(({ id }) => id === at?.id) ?? null
}

const isChip = (id: string, rows: LoftRow[]): boolean =>
  rows.some((row) => row.id === id && row.chip)

/** From chip to chip, line after line. */
function alongChips(choice: Choice, rows: LoftRow[], by: 1 | -1): Choice {
  const chips = rows.filter(({ chip, thin }) => chip && !thin)
  const next = chips[chips.findIndex(({ id }) => id === choice.row) + by]
  return next ? { row: next.id, window: null } : choice
}

const isThin = (id: string, rows: LoftRow[]): boolean =>
  rows.some((row) => row.id === id && row.thin)

/**
 * A step up or down: to the window nearest across on the next line, of this row or of the one that
 * follows it, in the next column where this one ends; thin rows are passed over.
 */
export function updown(choice: Choice, rows: LoftRow[], shelves: Shelves, by: 1 | -1): Choice {
  const full = rows.filter(({ thin }) => !thin)
  const index = full.findIndex(({ id }) => id === choice.row)
  const across = (id: string) => shelves.rows.find((row) => row.id === id)?.left ?? 0
  const own = shelves.places[choice.window ?? '']
  const x = (own?.x ?? across(choice.row)) - across(choice.row)
  const on = (row: LoftRow, baseline: number | undefined): Choice => {
    const off = (id: WindowId) => Math.abs((shelves.places[id]?.x ?? 0) - across(row.id) - x)
    const [nearest] = row.windows
      .filter(({ id }) => baselineOf(id, shelves) === baseline)
      .sort((a, b) => off(a.id) - off(b.id))
    return { row: row.id, window: nearest?.id ?? null }
  }
  const here = full[index]
  const lines = here ? linesOf(here, shelves) : []
  const line = lines[lines.indexOf(baselineOf(choice.window, shelves) ?? Number.NaN) + by]
  if (here && own && line !== undefined) return on(here, line)
  const next = here?.chip ? chipAcross(here, full, shelves, by) : full[index + by]
  if (!next) return choice
  return on(next, linesOf(next, shelves).at(by > 0 ? 0 : -1))
}

/** The chip above or below one; above the first line, the last row. */
function chipAcross(
  here: LoftRow,
  full: LoftRow[],
  shelves: Shelves,
  by: 1 | -1,
): LoftRow | undefined {
  const of = (row: LoftRow) => shelves.rows.find(({ id }) => id === row.id)
  const own = of(here)
  const beyond = full.filter((one) => one.chip && by * ((of(one)?.top ?? 0) - (own?.top ?? 0)) > 0)
  const off = (one: LoftRow) => {
    const { left = 0, top = 0 } = of(one) ?? {}
    return Math.abs(top - (own?.top ?? 0)) * 100 + Math.abs(left - (own?.left ?? 0))
  }
  const [nearest] = beyond.sort((a, b) => off(a) - off(b))
  return nearest ?? (by < 0 ? full.findLast(({ chip }) => !chip) : undefined)
}

/** What a window stands on, from the top. */
function baselineOf(id: WindowId | null, { places }: Shelves): number | undefined {
  const place = places[id ?? '']
  return place && Math.round(place.y + place.height * place.scale)
}

/** The lines of a row, from the top. */
const linesOf = ({ windows }: LoftRow, shelves: Shelves): number[] => [
  ...new Set(windows.flatMap(({ id }) => baselineOf(id, shelves) ?? [])),
]

/** The row of the desktop a letter stands for, at the window of it that was used last. */
export function toLetter(letter: string, state: State, choice: Choice): Choice {
  const found = Object.values(state.desktops).find((one) => one.letter === letter)
  if (!found) return choice
  const last = stack(state, found.id).find(({ desktop }) => desktop === found.id)
  return { row: found.id, window: last?.id ?? null }
}
