import type { State } from '@/core/model/types'

/** The parts of the state that hold objects by their ids. */
const RECORDS = ['desktops', 'windows', 'documents', 'apps', 'displays'] as const
type RecordPart = (typeof RECORDS)[number]

const isRecord = (part: string): part is RecordPart => (RECORDS as readonly string[]).includes(part)

/**
 * What is different from one state to another, as plain JSON: of the parts that hold objects by
 * id the objects that changed (null: gone), of the others the whole.
 */
export interface Changes {
  objects: Partial<Record<RecordPart, Record<string, unknown>>>
  parts: Partial<Record<keyof State, unknown>>
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
    if (!isRecord(part)) changes.parts[part] = after[part]
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

/** What takes changes back: the same objects and parts, as they are in a state. */
export function asIn(state: State, { objects, parts }: Changes): Changes {
  const same: Changes = { objects: {}, parts: {} }
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
  return next
}
