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

/**
 * What changed from one state to another, or null where nothing did. States share what did not
 * change, so that only identities are compared: the cost follows the number of objects, the
 * size of what is returned follows the change.
 */
export function changesBetween(before: State, after: State): Changes | null {
  if (before === after) return null
  const changes: Changes = { objects: {}, parts: {} }
  for (const part of Object.keys(after) as (keyof State)[]) {
    if (before[part] === after[part]) continue
    if (!isRecord(part)) changes.parts[part] = after[part]
    else changes.objects[part] = objectsBetween(before[part], after[part])
  }
  return changes
}

function objectsBetween(
  before: Record<string, unknown>,
  after: Record<string, unknown>,
): Record<string, unknown> {
  const changed: Record<string, unknown> = {}
  for (const id in after) if (before[id] !== after[id]) changed[id] = after[id]
  for (const id in before) if (!Object.hasOwn(after, id)) changed[id] = null
  return changed
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
