import { reachable, spanFrame } from '@/core/geometry/rect'
import { isVisible, shownOn, topmost } from '@/core/model/selectors'
import type { DocumentInfo, Presence, State, Window } from '@/core/model/types'
import { asIn, type Changes, withChanges } from './changes'

/** Undo and redo by what each step changed, so that keeping a step costs what it touched. */
export interface Step {
  /** Counts up: what belongs to a step elsewhere is found by it. */
  id: number
  /** What happened, in words. */
  say: string
  /** What it changed, and the same as it was before. */
  forth: Changes
  back: Changes
  /** Where the person was before and after. */
  from: Presence
  to: Presence
  /** Steps that belong together as one act have the same one. */
  act?: string
}

export interface History {
  past: Step[]
  future: Step[]
  /** How many steps there have been. */
  count: number
}

export const emptyHistory: History = { past: [], future: [], count: 0 }

const STEPS_KEPT = 200

/** Where the person is: not undone. */
const NOT_UNDONE = ['display', 'presence'] as const

/**
 * Adds a step; what could be redone is gone. A step of the same act as the last one becomes part
 * of it.
 * @param changes what it changed
 * @param documents whether what is known of documents is part of the step
 */
export function record(
  history: History,
  before: State,
  after: State,
  {
    changes,
    say,
    documents,
    act,
  }: {
    changes: Changes
    say: string
    documents?: boolean | undefined
    act?: string | undefined
  },
): History {
  const forth: Changes = {
    ...changes,
    objects: { ...changes.objects },
    parts: { ...changes.parts },
  }
  for (const part of NOT_UNDONE) delete forth.parts[part]
  if (!documents) delete forth.objects.documents
  const last = history.past.at(-1)
  const same = act !== undefined && last?.act === act && history.future.length === 0
  const back = asIn(before, forth)
  const id = same ? last.id : history.count + 1
  const step: Step = {
    id,
    say,
    forth: same ? over(last.forth, forth) : forth,
    // What the act changed first is what it was before.
    back: same ? over(back, last.back) : back,
    from: same ? last.from : presenceIn(before),
    to: presenceIn(after),
    ...(act !== undefined && { act }),
  }
  const past = same ? history.past.slice(0, -1) : history.past.slice(1 - STEPS_KEPT)
  return { past: [...past, step], future: [], count: Math.max(history.count, id) }
}

/** Changes with others over them. */
function over(under: Changes, upper: Changes): Changes {
  const objects = { ...under.objects }
  for (const [part, given] of Object.entries(upper.objects) as [keyof typeof objects, object][])
    objects[part] = { ...objects[part], ...given }
  // Where the whole stack is told, who moved before is in it.
  const moved = upper.moved ?? (upper.parts.stacking ? undefined : under.moved)
  return { objects, parts: { ...under.parts, ...upper.parts }, ...(moved && { moved }) }
}

const presenceIn = ({ presence, display }: State): Presence =>
  presence[display] ?? { shows: '', focus: null, visited: [] }

export interface Travel {
  state: State
  history: History
  step: Step
}

/**
 * The state without what the last step changed. Who takes it back is brought to where they were
 * when they did it; where others are stays as it is. Returns null when there is no step.
 */
export function undo(history: History, state: State): Travel | null {
  const step = history.past.at(-1)
  if (!step) return null
  // Done again, all is as it is now.
  const seen: Step = { ...step, forth: asIn(state, step.back), to: presenceIn(state) }
  return {
    state: travelled(state, step.back, step.forth, step.from),
    history: { ...history, past: history.past.slice(0, -1), future: [...history.future, seen] },
    step,
  }
}

/** The state as it was when the step was undone. Returns null when nothing was undone. */
export function redo(history: History, state: State): Travel | null {
  const step = history.future.at(-1)
  if (!step) return null
  return {
    state: travelled(state, step.forth, step.back, step.to),
    history: { ...history, past: [...history.past, step], future: history.future.slice(0, -1) },
    step,
  }
}

/**
 * @param changes what it comes to
 * @param from the same as it was at the other end of the step
 * @param to where the person comes to
 */
function travelled(now: State, changes: Changes, from: Changes, to: Presence): State {
  const { documents, ...objects } = changes.objects
  const next = withChanges(now, { ...changes, objects }) as State
  if (documents) next.documents = documentsBack(now.documents, documents, from.objects.documents)
  if (objects.displays) next.displays = sizedAsNow(next.displays, now)
  if (objects.windows) next.windows = fitted(next, Object.keys(objects.windows))
  next.presence = presences(next, to)
  return next
}

/**
 * What is known of documents, with what a step changed of it as it was at one end of the step.
 * Whether one has changes that are not saved is about its content, which is kept elsewhere.
 */
function documentsBack(
  now: State['documents'],
  to: Record<string, unknown>,
  from: Record<string, unknown> = {},
): State['documents'] {
  const back = { ...now }
  for (const id of Object.keys(to)) {
    const there = to[id] as DocumentInfo | null
    if (!there) delete back[id]
    else if (!now[id] || now[id] === from[id]) back[id] = there
    // What was typed meanwhile is still not saved.
    else back[id] = { ...there, unsaved: now[id].unsaved }
  }
  return back
}

/** What displays physically are stays as it is now. */
const sizedAsNow = (displays: State['displays'], now: State): State['displays'] =>
  Object.fromEntries(
    Object.values(displays).map((display) => {
      const { width, height } = now.displays[display.id] ?? display
      return [display.id, { ...display, width, height }]
    }),
  )

/** Windows as they were, on displays that may have another size since. */
function fitted({ windows, displays }: State, ids: string[]): State['windows'] {
  const fit = { ...windows }
  for (const id of ids) {
    const window: Window | undefined = fit[id]
    const area = displays[window?.display ?? '']
    if (!window || !area?.connected) continue
    const { frame } = window
    const to = window.placed
      ? spanFrame(window.placed, area, window.limits)
      : reachable(frame, area)
    const same = to.x === frame.x && to.y === frame.y
    if (!same || to.width !== frame.width || to.height !== frame.height)
      fit[id] = { ...window, frame: to }
  }
  return fit
}

/** The display that asks comes to where one was; the others stay where they are, as far as that is. */
function presences(next: State, to: Presence): State['presence'] {
  const all: State['presence'] = {}
  const shown = new Set<string>()
  const there = { ...next, presence: all }
  for (const id of [next.display, ...next.displayOrder.filter((id) => id !== next.display)]) {
    const now = next.presence[id]
    const elsewhere = next.displayOrder.some(
      (other) => other !== id && shownOn(next, other) === to.shows,
    )
    const wanted = id === next.display && !elsewhere ? to : (now ?? to)
    const free = next.order.find((desktop) => !shown.has(desktop)) ?? wanted.shows
    const shows = next.desktops[wanted.shows] && !shown.has(wanted.shows) ? wanted.shows : free
    const others = wanted.visited.filter((visited) => visited !== shows && next.desktops[visited])
    const visited = [shows, ...others]
    const same = now && now.shows === shows && sameList(now.visited, visited)
    all[id] = same && now.focus === wanted.focus ? now : { shows, focus: wanted.focus, visited }
    if (next.displays[id]?.connected) shown.add(shows)
    const { focus } = wanted
    const focused = next.windows[focus ?? '']
    if (focus === null || (focused && isVisible(there, focused))) continue
    all[id] = { shows, visited, focus: topmost(there, shows)?.id ?? null }
  }
  return all
}

const sameList = (a: string[], b: string[]): boolean =>
  a.length === b.length && a.every((one, at) => one === b[at])
