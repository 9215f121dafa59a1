import { useRef } from 'react'
import { createStore, useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import type { Effect, Env, Refusal, View } from '@/core/commands/command'
import { execute, type Outcome, type Session } from '@/core/commands/execute'
import type { CommandId, SaidWith } from '@/core/commands/registry'
import type { Place } from '@/core/geometry/shelves'
import { emptyHistory } from '@/core/history/history'
import type { By, JournalEvent } from '@/core/journal/events'
import { keysFor } from '@/core/keys/bindings'
import { initialState } from '@/core/model/initial'
import { ownFacts } from '@/core/model/ownApps'
import { desktop } from '@/core/model/selectors'
import type {
  AppFacts,
  Deed,
  Desktop,
  DesktopId,
  DisplayId,
  State,
  WindowId,
} from '@/core/model/types'
import { isAbout, leaving, shown, wentElsewhere } from './asked'
import { type Ran, seenFrom } from './replica'
import { sameItems } from './same'
import type { Views } from './views'

/** What the Line says of the last thing that happened. */
export interface Said {
  text: string
  /** Whether “undo” stands beside it. */
  step: boolean
  /** The keys for what was just done by pointer. */
  nextTime?: string
  refused?: boolean
  /** Counts up, so that the same words twice are two messages. */
  count: number
}

/** What a menu is about. */
type About =
  | { window: WindowId }
  | { desktop: DesktopId }
  | { app: string }
  | { windows: WindowId[] }

/** A menu at a point of the page. */
export type Menu = { x: number; y: number } & About

/** Something the person did, in words. */
interface Done extends Deed {
  says: string
  at: number
}

/** How long keys that were told are not told again, in milliseconds. */
const HINT_EVERY = 60 * 60_000

/** How much of what was done is remembered. */
const DONE_KEPT = 30

export interface Shelf {
  session: Session
  said: Said | null
  /** For people who do not see the page. */
  announced: string
  view: View | null
  /** Whether the loft is open. It stays while something is asked above it. */
  loft: boolean
  /** What the rows of the loft are. */
  loftBy: 'desktop' | 'app'
  /** Whether the loft comes back when the view above the desktop is left. */
  loftBehind: boolean
  /** Windows marked in the loft: what is done to one of them is done to all. */
  marked: WindowId[]
  /** Whether the small map of desktops is shown, while Alt is held. */
  map: boolean
  /** Desktops that have been put to rest: their windows are not drawn until they are gone to. */
  resting: DesktopId[]
  /** The web page window whose page has the keys. */
  keysIn: WindowId | null
  /** The menu that is open. */
  menu: Menu | null
  /** Where windows are drawn instead of their frames, while they are laid out to be seen. */
  places: Record<WindowId, Place> | null
  /** The desktop that is chosen in the loft. */
  chosenDesktop: DesktopId | null
  /** The window that verbs are about while a list is open; else the focused one is. */
  chosen: WindowId | null
  /** Displays that are shown in a browser window of their own. */
  elsewhere: DisplayId[]
  /** The strokes of a sequence heard so far. */
  pending: string
  /** Whether plain keys are commands, in the set of keys that has a layer. */
  layer: boolean
  /** Keys that were told, and when. */
  hinted: Record<string, number>
  /** What was done last, the latest last: a sequence is made from it. */
  done: Done[]
  /** Whether the shelf is loaded and the page may be drawn. */
  ready: boolean
}

export const shelf = createStore<Shelf>(() => ({
  session: { state: initialState(), history: emptyHistory },
  said: null,
  announced: '',
  view: null,
  loft: false,
  loftBy: 'desktop',
  loftBehind: false,
  marked: [],
  map: false,
  resting: [],
  keysIn: null,
  menu: null,
  places: null,
  chosenDesktop: null,
  chosen: null,
  elsewhere: [],
  pending: '',
  layer: false,
  hinted: {},
  done: [],
  ready: false,
}))

/** Re-renders only when what the selector picks changes. */
export const useShelf = <T>(select: (shelf: Shelf) => T): T => useStore(shelf, select)
export const useArrangement = <T>(select: (state: State) => T): T =>
  useStore(shelf, ({ session }) => select(session.state))

/** Some fields of a desktop: what else changes of it, such as its focus, draws nothing anew. */
export const useDesktop = <K extends keyof Desktop>(id: DesktopId, fields: K[]): Pick<Desktop, K> =>
  useArrangement(
    useShallow((state: State) => {
      const found = desktop(state, id)
      return Object.fromEntries(fields.map((field) => [field, found[field]])) as Pick<Desktop, K>
    }),
  )

/** As `useArrangement` for a list: the same array as long as it lists the same. */
export function useList<T>(select: (state: State) => readonly T[]): readonly T[] {
  const last = useRef<readonly T[]>([])
  return useArrangement((state) => {
    const next = select(state)
    if (!sameItems(last.current, next)) last.current = next
    return last.current
  })
}

export const getState = (): State => shelf.getState().session.state

let apps = new Map<string, AppFacts>()
const listeners = new Set<(events: JournalEvent[]) => void>()

/** The apps commands can open; told once at the start. */
export function provideApps(facts: AppFacts[]): void {
  apps = new Map(facts.map((app) => [app.id, app]))
}

let busy: Env['busy'] = () => false

/** How it is known whether an app is at work; told once at the start. */
export function provideBusy(given: Env['busy']): void {
  busy = given
}

export function appFacts(id: string): AppFacts | undefined {
  const own = Object.hasOwn(getState().apps, id) ? getState().apps[id] : undefined
  return apps.get(id) ?? (own && ownFacts(own))
}

export const onJournal = (listener: (events: JournalEvent[]) => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What a command gets of the world. Given again what it was given once, it does the same again. */
function env({ now, by, ids }: Ran): Env {
  let given = 0
  return {
    now,
    id: (kind) => {
      ids[given] ??= `${kind}-${crypto.getRandomValues(new Uint32Array(2)).join('')}`
      return ids[given++] as string
    },
    app: appFacts,
    apps: () => [...apps.values(), ...Object.values(getState().apps).map(ownFacts)],
    by,
    busy: (document) => busy(document),
  }
}

let count = 0

const here = new Set<(events: JournalEvent[]) => void>()

/** Calls back with what was done on this page, while the answer to a key or a push is under way. */
export const onDone = (listener: (events: JournalEvent[]) => void): (() => void) => {
  here.add(listener)
  return () => here.delete(listener)
}

const travellers = new Set<(step: number) => void>()

/** Calls back with the number of a step that is taken back or done again. */
export function onTravel(listener: (step: number) => void): void {
  travellers.add(listener)
}

/** Whether another page has taken the shelf over. */
let over = false

/** Another page has the shelf: nothing can be done to it here any more. */
export function letGo(): void {
  over = true
  delete window.kiteShelf
  shelf.setState({ ...shelf.getInitialState(), ready: false }, true)
}

/** Says something in the Line. */
export function say(text: string, more: Partial<Said> = {}): void {
  shelf.setState({ said: { text, step: false, count: ++count, ...more }, announced: text })
}

/** The other views of the shelf; null before it is open. */
let views: Views | null = null

export function provideViews(given: Views | null): void {
  views = given
}

let carryOut: (effect: Effect) => void = () => {}

/** Who does what commands ask the page to do at once. */
export function provideEffects(given: typeof carryOut): void {
  carryOut = given
}

/** Runs a command; what it says, shows and writes to the journal goes where it belongs. */
export const dispatch = <Id extends CommandId>(
  id: Id,
  ...[args, by]: SaidWith<Id, [by: By]>
): Outcome => dispatchAny(id, args, by)

/** Runs a command that is only known when it is said: what keys, menus and the console lead to. */
export function dispatchAny(id: string, args: object = {}, by: By = 'pointer'): Outcome {
  const before = shelf.getState()
  const { display } = before.session.state
  const ran: Ran = { n: views?.next() ?? 0, id, args, by, now: Date.now(), ids: [], display }
  const outcome = over ? TAKEN_OVER : runOn(before.session, ran)
  if (!outcome.ok) {
    refuse(outcome)
    return outcome
  }
  const { step, announce, show, effect } = outcome
  const session = views?.ran(ran, before.session, outcome.session) ?? outcome.session
  // A view that asked for something is answered; one that shows things stays.
  const left = !show && by !== 'app' && wentElsewhere(before.session.state, outcome)
  const patch: Partial<Shelf> = {
    session,
    ...(show ? shown(show, before) : left && leaving(before)),
  }
  const named = by === 'pointer' ? keysFor(before.session.state, id, args) : undefined
  // The same is not told again and again.
  const told = named && ran.now - (before.hinted[named] ?? 0) < HINT_EVERY
  const keys = told ? undefined : named
  const text = outcome.say ?? (named ? announce : undefined)
  if (text !== undefined) {
    patch.said = { text, step, count: ++count, ...(keys && { nextTime: keys }) }
    if (keys) patch.hinted = { ...before.hinted, [keys]: ran.now }
  } else if (before.said?.refused && by !== 'app') patch.said = null
  const view = patch.view === undefined ? before.view : patch.view
  if (view && !isAbout(view, session.state)) patch.view = null
  if (by !== 'app' && isDeed(id, outcome)) {
    const says = outcome.say ?? wentTo(outcome) ?? outcome.announce ?? id
    const one = { command: id, args: args as Done['args'], says, at: ran.now }
    patch.done = [...before.done.slice(1 - DONE_KEPT), one]
  }
  const aloud = [outcome.say, announce].filter(Boolean).join('. ')
  if (aloud) patch.announced = aloud
  shelf.setState(patch)
  if (views?.leads !== false) done(outcome)
  for (const listener of here) listener(outcome.journal)
  // After what was changed is drawn.
  if (effect) queueMicrotask(() => carryOut(effect))
  if (outcome.say === undefined && outcome.session.state.display !== session.state.display)
    sayElsewhere(outcome.session.state)
  return outcome
}

/** Where one went, in words. */
function wentTo({ journal, session }: Extract<Outcome, { ok: true }>): string | undefined {
  const to = journal.find(({ kind }) => kind === 'switch')?.to
  const name = to && session.state.desktops[to]?.name
  return name ? `Went to ${name}` : undefined
}

/** What a sequence can be made of: what changed something, or led elsewhere. */
const isDeed = (
  id: string,
  { step, journal, travelled }: Extract<Outcome, { ok: true }>,
): boolean =>
  !travelled && !/^(sequence|keys|settings|start)\./.test(id) && (step || journal.length > 0)

/** What a command did that concerns whoever keeps the shelf. */
export function done({ travelled, journal }: Extract<Outcome, { ok: true }>): void {
  if (travelled) for (const listener of travellers) listener(travelled.step)
  if (journal.length) for (const listener of listeners) listener(journal)
}

/** Shows a session that came from another view. */
export function showSession(session: Session): void {
  const { view } = shelf.getState()
  shelf.setState({
    session,
    ...(view && !isAbout(view, session.state) && { view: null }),
  })
}

/** Where it led is in a browser window of its own. */
function sayElsewhere(state: State): void {
  const { name } = state.displays[state.display] ?? {}
  const shows = state.desktops[state.presence[state.display]?.shows ?? '']?.name
  say(`${shows} is on ${name}, in its own window`)
}

const TAKEN_OVER: Outcome = {
  ok: false,
  reason: 'This shelf is open in another tab. Nothing was changed here.',
}

/**
 * Runs a command without showing anything of it. One that fails takes nothing with it: the shelf is
 * as it was.
 */
export function runOn(session: Session, ran: Ran): Outcome {
  const { id, args } = ran
  try {
    return execute({ ...session, state: seenFrom(session.state, ran.display) }, id, args, env(ran))
  } catch (error) {
    console.error(error)
    const why = error instanceof Error ? error.message.slice(0, 200) : ''
    return { ok: false, reason: `That could not be done; nothing was changed. (${id}: ${why})` }
  }
}

export const closeLoft = (): void => shelf.setState({ loft: false })

/** Opens a menu where the pointer is. */
export function openMenu(
  event: { clientX: number; clientY: number; preventDefault(): void },
  about: About,
): void {
  event.preventDefault()
  shelf.setState({ menu: { x: event.clientX, y: event.clientY, ...about } })
}

/** Opens a menu below the button that was pushed. */
export function openMenuBelow(button: HTMLElement, about: About): void {
  const { left, bottom } = button.getBoundingClientRect()
  shelf.setState({ menu: { x: left, y: bottom, ...about } })
}

function refuse({ reason, ask }: Refusal): void {
  if (ask) shelf.setState({ view: ask })
  else say(reason, { refused: true })
}

/** Leaves the view above the desktop; the loft comes back where it was opened from there. */
export const closeView = (): void =>
  shelf.setState(({ loftBehind }) => ({
    view: null,
    ...(loftBehind && { loft: true, loftBehind: false }),
  }))
