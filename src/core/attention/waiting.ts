import { fits } from '@/core/homes/matching'
import type { DocumentId, WindowId } from '@/core/model/ids'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Waiting } from '@/core/model/kinds/waiting'
import type { Window } from '@/core/model/kinds/window'
import { peek } from '@/core/model/peek'
import { currentId } from '@/core/model/selectors'
import { heights } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { runningNow } from '@/core/runs/runs'

/** Something that waits, with the window it is in. */
export interface Asking extends Waiting {
  document: DocumentId
  window: WindowId
  title: string
}

/** Whether a desktop holds attention back at a moment. */
export const isQuiet = ({ quiet }: Pick<Desktop, 'quiet'>, now: number): boolean =>
  quiet?.on === true && (quiet.until === undefined || quiet.until > now)

/** Whether a quiet desktop lets something through: alarms, and what the person named. */
function letsThrough(
  { quiet }: Pick<Desktop, 'quiet'>,
  { level, says }: Pick<Waiting, 'level' | 'says'>,
  title: string,
  app: string,
): boolean {
  if (level === 'alarm') return true
  return (quiet?.lets ?? []).some((pattern) =>
    [title, says, app].some((text) => fits(pattern, text)),
  )
}

/** Alarms first, then what waits longest. */
const byUrgency = (a: Waiting, b: Waiting): number =>
  Number(b.level === 'alarm') - Number(a.level === 'alarm') || a.since - b.since

/**
 * The windows of documents that want attention; of several the one used last. One look at all of
 * them, to be read only: in the middle of a command none of it is copied.
 */
function windowsAsking(state: State): Map<DocumentId, Window> {
  const found = new Map<DocumentId, Window>()
  for (const id of heights(state)) {
    const window = peek(state.windows, id)
    if (window && peek(state.attention, window.document)) found.set(window.document, window)
  }
  return found
}

/**
 * All that waits and has a window, in the order it is gone to: also what is put off or held back.
 * What is in a document without a window waits with it, until it is opened again.
 */
function all(state: State): Asking[] {
  const windows = windowsAsking(state)
  return Object.keys(state.attention)
    .flatMap((document): Asking[] => {
      const [window, waiting] = [windows.get(document), peek(state.attention, document)]
      const title = peek(state.documents, document)?.title ?? ''
      return window && waiting ? [{ ...waiting, document, window: window.id, title }] : []
    })
    .toSorted(byUrgency)
}

/** Whether something is not to be told now, since one is on a quiet desktop or shows others something. */
function isHeld(state: State, asking: Asking, now: number): boolean {
  if (runningNow(state)) return true
  const here = peek(state.desktops, currentId(state))
  const app = peek(state.windows, asking.window)?.app ?? ''
  return !!here && isQuiet(here, now) && !letsThrough(here, asking, asking.title, app)
}

const isPutOff = ({ until }: Waiting, now: number): boolean => until !== undefined && until > now

/** What waits and may be told now, in the order it is gone to: alarms, then what waits longest. */
export const waitingNow = (state: State, now: number): Asking[] =>
  all(state).filter((asking) => !isPutOff(asking, now) && !isHeld(state, asking, now))

/** What a quiet desktop holds back while one is on it. */
export const heldBack = (state: State, now: number): Asking[] =>
  all(state).filter((asking) => !isPutOff(asking, now) && isHeld(state, asking, now))

/** What was put off, the soonest first. */
export const putOff = (state: State, now: number): Asking[] =>
  all(state)
    .filter((asking) => isPutOff(asking, now))
    .toSorted((a, b) => (a.until ?? 0) - (b.until ?? 0))

/** What may be told now and was not yet: it came while one was on a quiet desktop, or its time is over. */
export const untold = (state: State, now: number): Asking[] =>
  waitingNow(state, now).filter(({ told }) => !told)

/** When what waits changes by itself next: something put off comes again, or a quiet time ends. */
export function changesAt(state: State, now: number): number | null {
  const times = [
    ...Object.values(state.attention).map(({ until }) => until),
    ...Object.values(state.desktops).map(({ quiet }) => quiet?.until),
  ].flatMap((time) => (time !== undefined && time > now ? time : []))
  return times.length > 0 ? Math.min(...times) : null
}
