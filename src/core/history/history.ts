import { reachable, spanFrame } from '@/core/geometry/rect'
import type { Arrangement, Display, State } from '@/core/model/types'

/**
 * Undo and redo by whole arrangements. The state is immutable and shares what did not change,
 * so keeping the arrangement before and after each step costs what the step touched.
 */
export interface Step {
  before: Arrangement
  after: Arrangement
  /** What happened, in words. */
  say: string
}

export interface History {
  past: Step[]
  future: Step[]
}

export const emptyHistory: History = { past: [], future: [] }

const STEPS_KEPT = 200

const arrangement = ({ documents: _documents, settings: _settings, ...rest }: State): Arrangement =>
  rest

/** Adds a step; what could be redone is gone. */
export function record(history: History, before: State, after: State, say: string): History {
  const step: Step = { before: arrangement(before), after: arrangement(after), say }
  return { past: [...history.past.slice(1 - STEPS_KEPT), step], future: [] }
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
  const seen: Step = { ...step, after: arrangement(state) }
  return {
    state: restore(state, step.before),
    history: { past: history.past.slice(0, -1), future: [...history.future, seen] },
    step,
  }
}

/** The state as it was when the step was undone. Returns null when nothing was undone. */
export function redo(history: History, state: State): Travel | null {
  const step = history.future.at(-1)
  if (!step) return null
  return {
    state: restore(state, step.after),
    history: { past: [...history.past, step], future: history.future.slice(0, -1) },
    step,
  }
}

/** Documents and settings stay as they are now, and so does what displays physically are. */
function restore(state: State, to: Arrangement): State {
  const resized = Object.values(to.displays).filter((then) => {
    const now = state.displays[then.id]
    return now && (now.width !== then.width || now.height !== then.height)
  })
  const restored: State = { ...to, documents: state.documents, settings: state.settings }
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
