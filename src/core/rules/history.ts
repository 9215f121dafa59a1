import { closedUp } from '@/core/geometry/displays'
import { connected, displayShowing } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import { arriving, type Presence } from '@/core/model/kinds/display'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { settleShown } from '@/core/model/showing'
import type { State } from '@/core/model/state'
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
  /** The displays that took the keys before and after, where it moved them. */
  keys?: [from: DisplayId, to: DisplayId]
  /** What displays showed that are only there before it, or only after it. */
  there?: State['presence']
}

export interface History {
  past: Step[]
  future: Step[]
  /** How many steps there have been. */
  count: number
}

/** What became of the steps with one change of the shelf. */
export interface Turn {
  kind: 'step' | 'undo' | 'redo'
  step: Step
}

export const emptyHistory: History = { past: [], future: [], count: 0 }

const STEPS_KEPT = 200

/** Where the person is, and what was reported: not undone. */
const NOT_UNDONE = ['display', 'presence', 'attention', 'answering', 'running'] as const

/**
 * A step, to be added to those there are; what could be redone is gone then.
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
  }: {
    changes: Changes
    say: string
    documents?: boolean | undefined
  },
): Turn {
  const forth: Changes = {
    ...changes,
    objects: { ...changes.objects },
    parts: { ...changes.parts },
  }
  for (const part of NOT_UNDONE) delete forth.parts[part]
  if (!documents) delete forth.objects.documents
  const there = onOneSide(before, after)
  const step: Step = {
    id: history.count + 1,
    say,
    forth,
    back: asIn(before, forth),
    from: presenceIn(before),
    to: presenceIn(after),
    ...(before.display !== after.display && { keys: [before.display, after.display] }),
    ...(there && { there }),
  }
  return { kind: 'step', step }
}

/** The steps after one was made, taken back, or done again. */
export function turned({ past, future, count }: History, { kind, step }: Turn): History {
  if (kind === 'undo') return { past: past.slice(0, -1), future: [...future, step], count }
  if (kind === 'redo') return { past: [...past, step], future: future.slice(0, -1), count }
  return { past: [...past.slice(1 - STEPS_KEPT), step], future: [], count: step.id }
}

/** What displays show that were added or removed; undefined where none was. */
function onOneSide(before: State, after: State): State['presence'] | undefined {
  if (before.displays === after.displays) return undefined
  const all = { ...before.presence, ...after.presence }
  const one = Object.entries(all).filter(
    ([id]) => Object.hasOwn(before.displays, id) !== Object.hasOwn(after.displays, id),
  )
  return one.length > 0 ? Object.fromEntries(one) : undefined
}

const presenceIn = ({ presence, display }: State): Presence =>
  presence[display] ?? { shows: '', focus: null, visited: [] }

export interface Travel {
  state: State
  turn: Turn
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
    state: travelled(state, step.back, step.forth, step.from, step),
    turn: { kind: 'undo', step: seen },
  }
}

/** The state as it was when the step was undone. Returns null when nothing was undone. */
export function redo(history: History, state: State): Travel | null {
  const step = history.future.at(-1)
  if (!step) return null
  return {
    state: travelled(state, step.forth, step.back, step.to, {
      ...step,
      ...(step.keys && { keys: [step.keys[1], step.keys[0]] }),
    }),
    turn: { kind: 'redo', step },
  }
}

/**
 * @param changes what it comes to
 * @param from the same as it was at the other end of the step
 * @param to where the person comes to
 * @param step what displays showed that come with it, and where the keys go back to
 */
function travelled(
  now: State,
  changes: Changes,
  from: Changes,
  to: Presence,
  { there = {}, keys }: Pick<Step, 'there' | 'keys'>,
): State {
  const { documents, ...objects } = changes.objects
  const next = withChanges(now, { ...changes, objects }) as State
  if (documents) next.documents = documentsBack(now.documents, documents, from.objects.documents)
  if (objects.displays) next.displays = sizedAsNow(next, now)
  if (objects.windows) next.desktops = withoutGone(next)
  const { presence, display } = presences(
    // Who is where it led to is brought back.
    keys && keys[1] === next.display && next.displays[keys[0]]?.connected
      ? { ...next, display: keys[0] }
      : next,
    to,
    there,
  )
  next.presence = presence
  next.display = display
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

/** Displays that follow a browser window stay of its size, the others edge to edge with them. */
function sizedAsNow(next: State, now: State): State['displays'] {
  const displays = { ...next.displays }
  for (const [id, display] of Object.entries(displays)) {
    const { width, height, measured, fitted } = now.displays[id] ?? display
    // One that fitted the room, and does so no more, has its own size again.
    if (measured && !(fitted && !display.fitted))
      displays[id] = { ...display, width, height, measured }
  }
  const all = connected({ ...next, displays })
  for (const [at, place] of closedUp(all).entries()) {
    const display = all[at]
    if (display && (display.x !== place.x || display.y !== place.y))
      displays[display.id] = { ...display, ...place }
  }
  return displays
}

/** A desktop one went to since may remember a window that is gone with the step. */
function withoutGone({ desktops, windows }: State): State['desktops'] {
  const stale = Object.values(desktops).filter(({ focus }) => focus && !windows[focus])
  if (stale.length === 0) return desktops
  return {
    ...desktops,
    ...Object.fromEntries(stale.map((desktop) => [desktop.id, { ...desktop, focus: null }])),
  }
}

/** The display that asks comes to where one was; the others stay where they are, as far as that is. */
function presences(
  next: State,
  to: Presence,
  came: State['presence'],
): Pick<State, 'presence' | 'display'> {
  const there: State = {
    ...next,
    displays: { ...next.displays },
    presence: Object.fromEntries(
      Object.keys(next.displays).map((id) => [
        id,
        next.presence[id] ?? came[id] ?? arriving(to.shows),
      ]),
    ),
  }
  if (!next.displays[next.display]?.connected)
    there.display = connected(there)[0]?.id ?? next.display
  const { display } = there
  const shownBy = displayShowing(there, to.shows)
  const beyond = next.apart && shownBy !== display ? shownBy : undefined
  const known = there.presence[beyond ?? '']
  if (beyond && known) {
    // Where another display shows it, the keys go there.
    there.display = beyond
    there.presence[beyond] = { ...known, focus: to.focus }
  } else if (next.desktops[to.shows]) there.presence[display] = { ...to }
  settleShown(there)
  for (const [id, now] of Object.entries(next.presence)) {
    const then = there.presence[id]
    const same = then && then.shows === now.shows && then.focus === now.focus
    if (same && sameList(then.visited, now.visited)) there.presence[id] = now
  }
  return there
}

const sameList = (a: string[], b: string[]): boolean =>
  a.length === b.length && a.every((one, at) => one === b[at])
