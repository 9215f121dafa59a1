import type { WindowId } from './ids'
import type { State } from './state'

/**
 * What stands on top of what: the ids of all open windows, the lowest first. It is kept apart from
 * the windows, so that to raise one copies nothing large; it is also the order of last use.
 */

/** The stacking order to be read: as it is put in whole each time, it is never a draft. */
export const heights = (state: State): readonly WindowId[] =>
  Object.getOwnPropertyDescriptor(state, 'stacking')?.value

export const isTopmost = (state: State, id: WindowId): boolean => heights(state).at(-1) === id

/** Puts a window on top of all others, whether it stood among them before or not. */
export function raise(draft: State, id: WindowId): void {
  if (isTopmost(draft, id)) return
  const all = without(draft, id)
  all.push(id)
  put(draft, all)
}

/** Puts a window directly on another; where there is none, below all. */
export function standOn(draft: State, id: WindowId, below: WindowId | null): void {
  const others = without(draft, id)
  const at = below === null ? 0 : others.indexOf(below) + 1
  // What it stood on is gone: it stays on top.
  const gone = below !== null && at === 0
  put(draft, gone ? [...others, id] : others.toSpliced(at, 0, id))
}

/** The window another stands directly on, or null. */
export function below(state: State, id: WindowId): WindowId | null {
  const all = heights(state)
  return all[all.indexOf(id) - 1] ?? null
}

/** Takes a window that is closed off the stack; what is to return onto it returns onto the next. */
export function unstacked(draft: State, id: WindowId): void {
  const next = below(draft, id)
  for (const { origins } of Object.values(draft.desktops))
    for (const origin of Object.values(origins ?? {})) if (origin.on === id) origin.on = next
  put(draft, without(draft, id))
}

/** Frozen: then it is not looked through for what was changed in it. */
function put(draft: State, all: WindowId[]): void {
  draft.stacking = Object.freeze(all) as WindowId[]
}

function without(state: State, id: WindowId): WindowId[] {
  // A frozen list is spread at once and spliced slowly.
  const all = [...heights(state)]
  const at = all.indexOf(id)
  if (at >= 0) all.splice(at, 1)
  return all
}
