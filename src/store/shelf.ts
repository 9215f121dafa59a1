import { createStore } from 'zustand'
import type { Effect, Env, Refusal } from '@/core/commands/command'
import { execute, type Outcome, type Session } from '@/core/commands/execute'
import type { CommandId, SaidWith } from '@/core/commands/registry'
import type { By, JournalEvent } from '@/core/journal/events'
import { keysFor } from '@/core/keys/bindings'
import type { AppId, DocumentId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { Deed } from '@/core/model/kinds/sequence'
import { ownFacts } from '@/core/model/ownApps'
import type { State } from '@/core/model/state'
import { isAbout, leaving, shown, wentElsewhere } from './asked'
import type { Stores } from './disk/storage'
import { newId } from './newId'
import { type About, FIRST, type PageState, type Said } from './page'
import type { Locks } from './views/locks'
import { type Ran, seenFrom } from './views/replica'
import type { Views } from './views/views'

/** How long keys that were told are not told again, in milliseconds. */
const HINT_EVERY = 60 * 60_000

/** How much of what was done is remembered. */
const DONE_KEPT = 30

/** What a shelf is made of. */
export interface Given {
  /** Where it is kept, by the name of its database. */
  stores(database: string): Stores
  /** The apps commands can open, beside those of the person's own. */
  apps: AppFacts[]
  /** Why something is not a content that an app can show, to follow a colon; null where it is one. */
  contentProblem(app: AppId, content: unknown): string | null
  /** Milliseconds since 1970. */
  clock(): number
  /** How its pages hear of each other. */
  channel(name: string): BroadcastChannel
  /** How they keep out of each other's way. */
  locks: Locks
}

type Heard = (events: JournalEvent[]) => void
type Done = Extract<Outcome, { ok: true }>

/** A shelf in the browser; made with `createShelf`, and given to what React draws by `ShelfProvider`. */
export type Shelf = ReturnType<typeof createShelf>

/**
 * Makes a shelf: what is shown of it and what is done to it. All that lives as long as it is open
 * belongs to it; what a module has for it is `ofShelf`. Nothing is loaded or kept until it is started.
 */
export function createShelf({ stores, apps: facts, contentProblem, clock, channel, locks }: Given) {
  const page = createStore<PageState>(() => FIRST)
  const apps = new Map(facts.map((app) => [app.id, app]))
  const listeners = new Set<Heard>()
  const here = new Set<Heard>()
  const travellers = new Set<(step: number) => void>()
  /** Keys that were told, and when. */
  const hinted = new Map<string, number>()
  let count = 0
  /** The other views of the shelf; null before it is open. */
  let views: Views | null = null
  let carryOut: (effect: Effect) => void = () => {}
  let isBusy: (document: DocumentId) => boolean = () => false

  const state = (): State => page.getState().session.state

  function appFacts(id: string): AppFacts | undefined {
    const own = Object.hasOwn(state().apps, id) ? state().apps[id] : undefined
    return apps.get(id) ?? (own && ownFacts(own))
  }

  /** What a command gets of the world. Given again what it was given once, it does the same again. */
  function env({ now, by, ids }: Ran): Env {
    let given = 0
    return {
      now,
      id: (kind) => {
        ids[given] ??= newId(kind)
        return ids[given++] as string
      },
      app: appFacts,
      apps: () => [...apps.values(), ...Object.values(state().apps).map(ownFacts)],
      by,
      busy: (document) => isBusy(document),
    }
  }

  /** Says something in the Line. */
  function say(text: string, more: Partial<Said> = {}): void {
    page.setState({ said: { text, step: false, count: ++count, ...more }, announced: text })
  }

  /**
   * Runs a command without showing anything of it. One that fails takes nothing with it: the shelf is
   * as it was.
   */
  function runOn(session: Session, ran: Ran): Outcome {
    const { id, args } = ran
    try {
      return execute(
        { ...session, state: seenFrom(session.state, ran.display) },
        id,
        args,
        env(ran),
      )
    } catch (error) {
      console.error(error)
      const why = error instanceof Error ? error.message.slice(0, 200) : ''
      return { ok: false, reason: `That could not be done; nothing was changed. (${id}: ${why})` }
    }
  }

  /** Runs a command that is only known when it is said: what keys, menus and the console lead to. */
  function dispatchAny(id: string, args: object = {}, by: By = 'pointer'): Outcome {
    // It is about what was there when it was opened.
    if (by === 'key') closeMenus()
    const before = page.getState()
    const { display } = before.session.state
    const ran: Ran = { n: views?.next() ?? 0, id, args, by, now: clock(), ids: [], display }
    const outcome = before.takenOver ? TAKEN_OVER : runOn(before.session, ran)
    if (!outcome.ok) {
      refuse(outcome)
      return outcome
    }
    const session = views?.ran(ran, before.session, outcome) ?? outcome.session
    const { display: to } = outcome.session.state
    const led = to !== session.state.display
    page.setState({
      ...told(before, ran, led ? { ...outcome, say: ledElsewhere(outcome) } : outcome, session),
      // What the shelf does by itself takes nobody's keys.
      ...(by !== 'app' && { keysOn: led ? to : null }),
    })
    if (views?.leads !== false) done(outcome)
    for (const listener of here) listener(outcome.journal)
    const { effect } = outcome
    // After what was changed is drawn.
    if (effect) queueMicrotask(() => carryOut(effect))
    return outcome
  }

  /** What a command changes on the page: the session, what is open, and what is said. */
  function told(before: PageState, ran: Ran, outcome: Done, session: Session): Partial<PageState> {
    const { id, args, by, now: at } = ran
    const { step, announce, show } = outcome
    // A view that asked for something is answered; one that shows things stays.
    const left = !show && by !== 'app' && wentElsewhere(before.session.state, outcome)
    const patch: Partial<PageState> = {
      session,
      ...(show ? shown(show, before) : left && leaving(before)),
    }
    const named = by === 'pointer' ? keysFor(before.session.state, id, args) : undefined
    // The same is not told again and again.
    const lately = named && at - (hinted.get(named) ?? 0) < HINT_EVERY
    const keys = lately ? undefined : named
    const text = outcome.say ?? (named ? announce : undefined)
    if (text !== undefined) {
      patch.said = { text, step, count: ++count, ...(keys && { nextTime: keys }) }
      if (keys) hinted.set(keys, at)
    } else if (before.said?.refused && by !== 'app') patch.said = null
    const view = patch.view === undefined ? before.view : patch.view
    if (view && !isAbout(view, session.state)) patch.view = null
    if (by !== 'app' && isDeed(id, outcome)) {
      const says = outcome.say ?? wentTo(outcome) ?? outcome.announce ?? id
      const one = { command: id, args: args as Deed['args'], says, at }
      patch.done = [...before.done.slice(1 - DONE_KEPT), one]
    }
    const aloud = [outcome.say, announce].filter(Boolean).join('. ')
    if (aloud) patch.announced = aloud
    return patch
  }

  /** What a command did that concerns whoever keeps the shelf. */
  function done({ travelled, journal }: Done): void {
    if (travelled) for (const listener of travellers) listener(travelled.step)
    if (journal.length) for (const listener of listeners) listener(journal)
  }

  /** What is given by key shuts a menu that is open: its letters would be taken for something else. */
  function closeMenus(): void {
    const { menu, view } = page.getState()
    if (menu) page.setState({ menu: null })
    if (view?.view === 'menu') page.setState({ view: null })
  }

  function refuse({ reason, ask }: Refusal): void {
    if (ask) page.setState({ view: ask })
    else say(reason, { refused: true })
  }

  const shelf = {
    /** What is open on the page, and the session that is shown. */
    page,
    stores,
    contentProblem,
    clock,
    channel,
    locks,
    /** The arrangement as it is now. */
    state,
    /** What is known of an app, of those that ship and the person's own. */
    appFacts,
    say,
    runOn,
    done,
    dispatchAny,

    /** Runs a command; what it says, shows and writes to the journal goes where it belongs. */
    dispatch: <Id extends CommandId>(id: Id, ...[args, by]: SaidWith<Id, [by: By]>): Outcome =>
      dispatchAny(id, args, by),

    /** Calls back with what happened, where this page keeps the shelf. */
    onJournal: (listener: Heard): (() => void) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },

    /** Calls back with what was done on this page, while the answer to a key or a push is under way. */
    onDone: (listener: Heard): (() => void) => {
      here.add(listener)
      return () => here.delete(listener)
    },

    /** Calls back with the number of a step that is taken back or done again. */
    onTravel: (listener: (step: number) => void): void => {
      travellers.add(listener)
    },

    /** Another page has the shelf: nothing can be done to it here any more. */
    letGo: (): void => page.setState({ ...FIRST, takenOver: true }, true),

    /** The other views of the shelf, once there can be some. */
    join: (given: Views): void => {
      views = given
    },

    /** Who does what commands ask the page to do at once. */
    provideEffects: (given: typeof carryOut): void => {
      carryOut = given
    },

    /** Who knows what is at work. */
    provideBusy: (given: typeof isBusy): void => {
      isBusy = given
    },

    /** Shows a session that came from another view. */
    showSession: (session: Session): void => {
      const { view } = page.getState()
      page.setState({ session, ...(view && !isAbout(view, session.state) && { view: null }) })
    },

    closeLoft: (): void => page.setState({ loft: false }),

    /** Leaves the view above the desktop; the loft comes back where it was opened from there. */
    closeView: (): void =>
      page.setState(({ loftBehind }) => ({
        view: null,
        ...(loftBehind && { loft: true, loftBehind: false }),
      })),

    /** Opens a menu where the pointer is. */
    openMenu: (
      event: { clientX: number; clientY: number; preventDefault(): void },
      about: About,
    ): void => {
      event.preventDefault()
      page.setState({ menu: { x: event.clientX, y: event.clientY, ...about } })
    },

    /** Opens a menu below the button that was pushed. */
    openMenuBelow: (button: HTMLElement, about: About): void => {
      const { left, bottom } = button.getBoundingClientRect()
      page.setState({ menu: { x: left, y: bottom, ...about } })
    },
  }
  return shelf
}

/** Where one went, in words. */
function wentTo({ journal, session }: Done): string | undefined {
  const to = journal.find(({ kind }) => kind === 'switch')?.to
  const name = to && session.state.desktops[to]?.name
  return name ? `Went to ${name}` : undefined
}

/** What a sequence can be made of: what changed something, or led elsewhere. */
const isDeed = (id: string, { step, journal, travelled }: Done): boolean =>
  !travelled && !/^(sequence|keys|settings|start)\./.test(id) && (step || journal.length > 0)

/** That where it led, and the keys with it, is in a browser window of its own. */
function ledElsewhere({ say, session: { state } }: Done): string {
  const { name } = state.displays[state.display] ?? {}
  const shows = state.desktops[state.presence[state.display]?.shows ?? '']?.name
  return say
    ? `${say}, in its own window: the keys are there now`
    : `${shows} is on ${name}, in its own window`
}

const TAKEN_OVER: Outcome = {
  ok: false,
  reason: 'This shelf is open in another tab. Nothing was changed here.',
}
