import { LABEL, type Shelves } from '@/core/geometry/shelves'
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

/** A step to the left or right: first the row's name, then its windows. */
export function aside({ row, window }: Choice, rows: LoftRow[], by: number): Choice {
  const windows = rows.find(({ id }) => id === row)?.windows ?? []
  const at = windows.findIndex(({ id }) => id === window) + by
  return { row, window: windows[Math.max(-1, Math.min(at, windows.length - 1))]?.id ?? null }
}

/** A step to the row above or below, to the window nearest across; thin rows are passed over. */
export function updown(
  { row, window }: Choice,
  rows: LoftRow[],
  { places }: Shelves,
  by: 1 | -1,
): Choice {
  const full = rows.filter(({ thin }) => !thin)
  const next = full[full.findIndex(({ id }) => id === row) + by]
  if (!next) return { row, window }
  const x = window ? (places[window]?.x ?? LABEL) : LABEL
  const off = (id: WindowId) => Math.abs((places[id]?.x ?? 0) - x)
  const nearest = next.windows.reduce<WindowId | null>(
    (best, { id }) => (best === null || off(id) < off(best) ? id : best),
    null,
  )
  return { row: next.id, window: nearest }
}

/** The row of the desktop a letter stands for, at the window of it that was used last. */
export function toLetter(letter: string, state: State, choice: Choice): Choice {
  const found = Object.values(state.desktops).find((one) => one.letter === letter)
  if (!found) return choice
  const last = stack(state, found.id).find(({ desktop }) => desktop === found.id)
  return { row: found.id, window: last?.id ?? null }
}
