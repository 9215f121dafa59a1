import type { StoreApi } from 'zustand'
import type { Refusal } from '@/core/commands/command'
import type { Outcome, Session } from '@/core/commands/execute'
import { keysFor } from '@/core/keys/bindings'
import type { Deed } from '@/core/model/kinds/sequence'
import { isAbout, leaving, shown, wentElsewhere } from './asked'
import type { PageState, Said } from './page'
import type { Ran } from './views/replica'

/** How long keys that were told are not told again, in milliseconds. */
const HINT_EVERY = 60 * 60_000

/** How much of what was done is remembered. */
const DONE_KEPT = 30

export type Done = Extract<Outcome, { ok: true }>

/** What the Line says, and what else of the page a command changes. */
export function createTeller(page: StoreApi<PageState>) {
  /** Keys that were told, and when. */
  const hinted = new Map<string, number>()
  let count = 0

  /** Says something in the Line. */
  function say(text: string, more: Partial<Said> = {}): void {
    page.setState({ said: { text, step: false, count: ++count, ...more }, announced: text })
  }

  /** The same keys are not told again and again. */
  function isNew(keys: string, now: number): boolean {
    if (now - (hinted.get(keys) ?? 0) < HINT_EVERY) return false
    hinted.set(keys, now)
    return true
  }

  return {
    say,

    refuse({ reason, ask }: Refusal): void {
      if (ask) page.setState({ view: ask })
      else say(reason, { refused: true })
    },

    /** What a command changes on the page: the session, what is open, and what is said. */
    told(before: PageState, ran: Ran, outcome: Done, session: Session): Partial<PageState> {
      const { id, args, by, now: at } = ran
      const { step, announce, show } = outcome
      // A view that asked for something is answered; one that shows things stays.
      const left = !show && by !== 'app' && wentElsewhere(before.session.state, outcome)
      const patch: Partial<PageState> = {
        session,
        ...(show ? shown(show, before) : left && leaving(before)),
      }
      const keys = by === 'pointer' ? keysFor(before.session.state, id, args) : undefined
      const text = outcome.say ?? (keys ? announce : undefined)
      if (text !== undefined) {
        const nextTime = keys && isNew(keys, at) ? { nextTime: keys } : {}
        patch.said = { text, step, count: ++count, ...nextTime }
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
    },
  }
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
export function ledElsewhere({ say, session: { state } }: Done): string {
  const { name } = state.displays[state.display] ?? {}
  const shows = state.desktops[state.presence[state.display]?.shows ?? '']?.name
  return say
    ? `${say}, in its own window: the keys are there now`
    : `${shows} is on ${name}, in its own window`
}
