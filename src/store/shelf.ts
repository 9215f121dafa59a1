import { createStore } from 'zustand'
import type { Effect } from '@/core/commands/command'
import type { Outcome, Session } from '@/core/commands/execute'
import type { CommandId, SaidWith } from '@/core/commands/registry'
import type { By, JournalEvent } from '@/core/journal/events'
import type { AppId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { State } from '@/core/model/state'
import { isAbout } from './asked'
import type { Stores } from './disk/storage'
import { type About, FIRST, type PageState } from './page'
import { createRunner } from './running'
import { createTeller, type Done, ledElsewhere } from './telling'
import type { Locks } from './views/locks'
import type { Ran } from './views/replica'
import type { Views } from './views/views'

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

/** A shelf in the browser; made with `createShelf`, and given to what React draws by `ShelfProvider`. */
export type Shelf = ReturnType<typeof createShelf>

/**
 * Makes a shelf: what is shown of it and what is done to it. All that lives as long as it is open
 * belongs to it; what a module has for it is `ofShelf`. Nothing is loaded or kept until it is started.
 */
export function createShelf({ stores, apps: facts, contentProblem, clock, channel, locks }: Given) {
  const page = createStore<PageState>(() => FIRST)
  const { appFacts, runOn, provideBusy } = createRunner(page, facts)
  const { say, refuse, told } = createTeller(page)
  const listeners = new Set<Heard>()
  const here = new Set<Heard>()
  const travellers = new Set<(step: number) => void>()
  /** The other views of the shelf; null before it is open. */
  let views: Views | null = null
  let carryOut: (effect: Effect) => void = () => {}

  const state = (): State => page.getState().session.state

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

    provideBusy,

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

const TAKEN_OVER: Outcome = {
  ok: false,
  reason: 'This shelf is open in another tab. Nothing was changed here.',
}
