import { reachable, spanFrame } from '@/core/geometry/rect'
import type { Arrangement, Display, State } from '@/core/model/types'

/**
 * Undo and redo by whole arrangements. The state is immutable and shares what did not change,
 * so keeping the arrangement before and after each step costs what the step touched.
 */
export interface Step {
  /** Counts up: what belongs to a step elsewhere is found by it. */
  id: number
  before: Arrangement
  after: Arrangement
  /** Of a step that changed what is known of documents. */
  documents?: { before: State['documents']; after: State['documents'] }
  /** What happened, in words. */
  say: string
}

export interface History {
  past: Step[]
  future: Step[]
  /** How many steps there have been. */
  count: number
}

export const emptyHistory: History = { past: [], future: [], count: 0 }

const STEPS_KEPT = 200

const arrangement = ({ documents: _documents, ...rest }: State): Arrangement => rest

/**
 * Adds a step; what could be redone is gone.
 * @param documents whether what is known of documents is part of the step
 */
export function record(
  history: History,
  before: State,
  after: State,
  say: string,
  documents = false,
): History {
  const id = history.count + 1
  const step: Step = {
    id,
    before: arrangement(before),
    after: arrangement(after),
    say,
    ...(documents && { documents: { before: before.documents, after: after.documents } }),
  }
  return { past: [...history.past.slice(1 - STEPS_KEPT), step], future: [], count: id }
}

export interface Travel {
  state: State
  history: History
  step: Step
}

/**
 * The state as it was before the last step. Going and focusing since then are no steps of their
 * own: they are taken back along with it. Returns null when there is no step.
 */
export function undo(history: History, state: State): Travel | null {
  const step = history.past.at(-1)
  if (!step) return null
  const seen: Step = {
    ...step,
    after: arrangement(state),
    ...(step.documents && {
      documents: { ...step.documents, after: touchedAsNow(step.documents, state.documents) },
    }),
  }
  const { before, after } = step.documents ?? {}
  return {
    state: restore(state, step.before, documentsBack(state.documents, after, before)),
    history: { ...history, past: history.past.slice(0, -1), future: [...history.future, seen] },
    step,
  }
}

/** What redoing a step gives back: the documents it changed as they are when it is undone. */
function touchedAsNow(
  { before, after }: NonNullable<Step['documents']>,
  now: State['documents'],
): State['documents'] {
  const seen = { ...before }
  for (const id of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (before[id] === after[id]) continue
    const there = now[id]
    if (there) seen[id] = there
    else delete seen[id]
  }
  return seen
}

/** The state as it was when the step was undone. Returns null when nothing was undone. */
export function redo(history: History, state: State): Travel | null {
  const step = history.future.at(-1)
  if (!step) return null
  const { before, after } = step.documents ?? {}
  return {
    state: restore(state, step.after, documentsBack(state.documents, before, after)),
    history: { ...history, past: [...history.past, step], future: history.future.slice(0, -1) },
    step,
  }
}

/**
 * What is known of documents, with what a step changed of it as it was at one end of the step.
 * Whether one has changes that are not saved is about its content, which is kept elsewhere.
 */
function documentsBack(
  now: State['documents'],
  from: State['documents'] = {},
  to: State['documents'] = {},
): State['documents'] {
  if (from === to) return now
  const back = { ...now }
  for (const id of new Set([...Object.keys(from), ...Object.keys(to)])) {
    if (from[id] === to[id]) continue
    const there = to[id]
    if (there && (!now[id] || now[id] === from[id])) back[id] = there
    // What was typed meanwhile is still not saved.
    else if (there) back[id] = { ...there, unsaved: now[id]?.unsaved ?? there.unsaved }
    else delete back[id]
  }
  return back
}

/** Documents are given; what displays physically are stays as it is now. */
function restore(state: State, to: Arrangement, documents: State['documents']): State {
  const resized = Object.values(to.displays).filter((then) => {
    const now = state.displays[then.id]
    return now && (now.width !== then.width || now.height !== then.height)
  })
  const restored: State = { ...to, documents }
  if (resized.length === 0) return restored
  const displays: Record<string, Display> = { ...restored.displays }
  for (const { id } of resized) {
    const now = state.displays[id]
    const then = displays[id]
    if (now && then) displays[id] = { ...then, width: now.width, height: now.height }
  }
  const windows = { ...restored.windows }
  for (const window of Object.values(windows)) {
    const area = displays[window.display]
    if (!area || !resized.some(({ id }) => id === window.display)) continue
    const frame = window.placed
      ? spanFrame(window.placed, area, window.limits)
      : reachable(window.frame, area)
    windows[window.id] = { ...window, frame }
  }
  return { ...restored, displays, windows }
}
