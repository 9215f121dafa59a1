import type { DesktopId, DisplayId } from '@/core/model/ids'
import type { Run, Stop } from '@/core/model/kinds/run'
import type { Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'

type Seen = Pick<State, 'runs' | 'running' | 'desktops' | 'windows'>

/** Whether a stop can be gone to: its window is open, or it is a desktop that is there. */
export const isThere = (
  { desktops, windows }: Pick<State, 'desktops' | 'windows'>,
  { desktop, window }: Stop,
): boolean => (window === null ? !!desktops[desktop] : !!windows[window])

/** What a run is at: the run, its stop, and where that is among those that can be gone to. */
export interface Running {
  run: Run
  /** The display it runs on. */
  display: DisplayId
  stop: Stop
  /** Counted from 0, in all its stops. */
  at: number
  /** Counted from 1 among those that can be gone to, and how many these are. */
  nth: number
  of: number
  next: Stop | undefined
  since: number
}

/** The run that goes on, or null: also where the run, or all it goes to, is there no more. */
export function runningNow(state: Seen): Running | null {
  const { running } = state
  const run = running && state.runs.find(({ id }) => id === running.run)
  if (!running || !run) return null
  const stop = run.stops[running.at]
  const there = run.stops.filter((one) => isThere(state, one))
  if (!stop || there.length === 0) return null
  return {
    run,
    display: running.display,
    stop,
    at: running.at,
    nth: there.indexOf(stop) + 1,
    of: there.length,
    next: stopFrom(state, run, running.at, 1)?.stop,
    since: running.since,
  }
}

/** The nearest stop that can be gone to after or before one, with where it is; undefined at the ends. */
export function stopFrom(
  state: Pick<State, 'desktops' | 'windows'>,
  { stops }: Run,
  at: number,
  by: 1 | -1,
): { stop: Stop; at: number } | undefined {
  for (let next = at + by; next >= 0 && next < stops.length; next += by) {
    const stop = stops[next]
    if (stop && isThere(state, stop)) return { stop, at: next }
  }
  return undefined
}

/** A stop in words: the title of its window, or the name of its desktop. */
export function stopName(
  { desktops, windows, documents }: Pick<State, 'desktops' | 'windows' | 'documents'>,
  { desktop, window }: Stop,
): string {
  if (window === null) return desktops[desktop]?.name ?? 'a folded desktop'
  const shown: Window | undefined = windows[window]
  return shown ? (documents[shown.document]?.title ?? 'Untitled') : 'a closed window'
}

/** The desktop of a stop as it is now: that of its window, wherever it was sent. */
export const desktopOf = (
  { windows }: Pick<State, 'windows'>,
  { desktop, window }: Stop,
): DesktopId => (window === null ? desktop : (windows[window]?.desktop ?? desktop))
