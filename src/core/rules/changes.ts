import type { WindowId } from '@/core/model/ids'
import type { State } from '@/core/model/state'

/** The parts of the state that hold objects by their ids. */
const RECORDS = ['desktops', 'windows', 'documents', 'apps', 'displays'] as const
type RecordPart = (typeof RECORDS)[number]

const isRecord = (part: string): part is RecordPart => (RECORDS as readonly string[]).includes(part)

/**
 * What is different from one state to another, as plain JSON: of the parts that hold objects by
 * id the objects that changed (null: gone), of the others the whole; of the stack, where only one
 * window is elsewhere in it, that one.
 */
export interface Changes {
  objects: Partial<Record<RecordPart, Record<string, unknown>>>
  parts: Partial<Record<keyof State, unknown>>
  moved?: Moved
}

/** A window that stands elsewhere in the stack, and the one it stands on then; null: at the bottom. */
interface Moved {
  window: WindowId
  on: WindowId | null
}

/** Where a state was changed, as the draft it was changed by tells: part, then id. */
export type Touched = Iterable<{ path: string | (string | number)[] }>

/**
 * What changed from one state to another, or null where nothing did. States share what did not
 * change, so that only identities are compared: the size of what is returned follows the change,
 * the cost follows the number of objects, or where it is known what was touched, the change.
 */
export function changesBetween(before: State, after: State, touched?: Touched): Changes | null {
  if (before === after) return null
  const changes: Changes = { objects: {}, parts: {} }
  const ids = touched && idsIn(touched)
  for (const part of Object.keys(after) as (keyof State)[]) {
    if (before[part] === after[part]) continue
    const moved = part === 'stacking' && movedBetween(before.stacking, after.stacking)
    if (moved) changes.moved = moved
    else if (!isRecord(part)) changes.parts[part] = after[part]
    else changes.objects[part] = objectsBetween(before[part], after[part], ids?.get(part))
  }
  return changes
}

/** The ids that were touched in each part; a part that was put in as a whole is not listed. */
function idsIn(touched: Touched): Map<string, Set<string>> {
  const ids = new Map<string, Set<string>>()
  const whole = new Set<string>()
  for (const { path } of touched) {
    const [part, id] = path
    if (id === undefined) whole.add(String(part))
    else ids.set(String(part), (ids.get(String(part)) ?? new Set()).add(String(id)))
  }
  for (const part of whole) ids.delete(part)
  return ids
}

function objectsBetween(
  before: Record<string, unknown>,
  after: Record<string, unknown>,
  ids?: Iterable<string>,
): Record<string, unknown> {
  const changed: Record<string, unknown> = {}
  if (ids) {
    for (const id of ids)
      if (before[id] !== after[id]) changed[id] = Object.hasOwn(after, id) ? after[id] : null
    return changed
  }
  for (const id in after) if (before[id] !== after[id]) changed[id] = after[id]
  for (const id in before) if (!Object.hasOwn(after, id)) changed[id] = null
  return changed
}

/** The one window that stands elsewhere in a stack, or null where more is different. */
function movedBetween(before: readonly WindowId[], after: readonly WindowId[]): Moved | null {
  const last = after.length - 1
  if (before.length !== after.length) return null
  let from = 0
  while (from < last && before[from] === after[from]) from++
  let to = last
  while (to > from && before[to] === after[to]) to--
  const shifted = (by: 1 | -1): boolean => {
    for (let at = from; at < to; at++) {
      const same = by === 1 ? after[at] === before[at + 1] : after[at + 1] === before[at]
      if (!same) return false
    }
    return true
  }
  // Up: all between came down by one; or down, and they went up.
  if (after[to] === before[from] && shifted(1)) return standing(after, to)
  if (after[from] === before[to] && shifted(-1)) return standing(after, from)
  return null
}

const standing = (stack: readonly WindowId[], at: number): Moved => ({
  window: stack[at] ?? '',
  on: stack[at - 1] ?? null,
})

/** What takes changes back: the same objects and parts, as they are in a state. */
export function asIn(state: State, { objects, parts, moved }: Changes): Changes {
  const same: Changes = { objects: {}, parts: {} }
  const at = moved ? state.stacking.indexOf(moved.window) : -1
  if (at >= 0) same.moved = standing(state.stacking, at)
  for (const part of Object.keys(parts) as (keyof State)[]) same.parts[part] = state[part]
  for (const [part, ids] of Object.entries(objects) as [RecordPart, Record<string, unknown>][]) {
    const all: Record<string, unknown> = state[part]
    same.objects[part] = Object.fromEntries(
      Object.keys(ids).map((id) => [id, Object.hasOwn(all, id) ? all[id] : null]),
    )
  }
  return same
}

/** The state after changes that were kept as JSON. Nothing is checked; what it is given stays as it is. */
export function withChanges(state: unknown, changes: Changes): unknown {
  const next: Record<string, unknown> = { ...(state as object), ...changes.parts }
  for (const [part, objects] of Object.entries(changes.objects)) {
    const all = { ...(next[part] as Record<string, unknown>) }
    for (const [id, object] of Object.entries(objects ?? {}))
      if (object === null) delete all[id]
      else all[id] = object
    next[part] = all
  }
  if (changes.moved) next.stacking = withMoved(next.stacking, changes.moved)
  return next
}

function withMoved(stack: unknown, { window, on }: Moved): unknown {
  if (!Array.isArray(stack) || !stack.includes(window)) return stack
  const others = stack.filter((id) => id !== window)
  const below = on === null ? 0 : others.indexOf(on) + 1
  // What it stood on is gone: it is on top.
  return others.toSpliced(on !== null && below === 0 ? others.length : below, 0, window)
}
