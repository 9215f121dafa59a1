import type { JournalEvent } from '@/core/journal/events'
import { shareByKey } from '@/core/journal/share'
import { type Stretch, stretchesOf } from '@/core/journal/time'
import { byApp, type Interrupted, interruptionsOf } from './interruptions'

/** How long something had, in milliseconds. */
export interface Spent {
  id: string
  time: number
}

/** What a span of time came to. */
export interface Figures {
  /** How long the page was looked at, in milliseconds. */
  present: number
  /** By desktop, the longest first. */
  desktops: Spent[]
  /** By app that had the keys, the longest first; time when no window had them is missing. */
  apps: Spent[]
  switches: number
  /** Switches for each hour of presence; null where there was none. */
  perHour: number | null
  /** The longest time on one desktop without leaving it or looking away. */
  longest: Stretch | null
  /** What one was interrupted by, the most often first. */
  interrupted: Interrupted[]
  /** Of what was done by key or pointer. */
  byKey: { byKey: number; all: number }
}

/**
 * The figures of a span, from the journal in order.
 * @param from milliseconds since 1970; so is `until`
 */
export function figuresOf(events: readonly JournalEvent[], from: number, until: number): Figures {
  const stretches = stretchesOf(events, from, until)
  const within = events.filter(({ at }) => at >= from && at < until)
  const present = stretches.reduce((sum, { start, end }) => sum + end - start, 0)
  const switches = within.filter(({ kind }) => kind === 'switch').length
  return {
    present,
    desktops: summed(stretches.map(({ desktop, start, end }) => [desktop, end - start])),
    apps: summed(appTimes(events, from, until)),
    switches,
    perHour: present > 0 ? switches / (present / 3_600_000) : null,
    longest: stretches.reduce<Stretch | null>(
      (most, one) => (!most || one.end - one.start > most.end - most.start ? one : most),
      null,
    ),
    interrupted: byApp(interruptionsOf(events).filter(({ at }) => at >= from && at < until)),
    byKey: shareByKey(within),
  }
}

/** What gives an app the keys, or takes them from all. */
const TURNS = new Set(['focus', 'open', 'switch', 'here', 'away'])

/** How long each app had the keys, one time after the other. */
function appTimes(
  events: readonly JournalEvent[],
  from: number,
  until: number,
): [app: string, time: number][] {
  const times: [string, number][] = []
  let had: { app: string; since: number } | null = null
  let last = from
  const end = (at: number) => {
    const time = had ? Math.min(at, until) - Math.max(had.since, from) : 0
    if (had && time > 0) times.push([had.app, time])
    had = null
  }
  for (const { at, kind, app } of events) {
    if (TURNS.has(kind)) {
      // Where it was shut without a word, what came after the last event does not count.
      end(kind === 'here' ? last : at)
      if (app && kind !== 'away') had = { app, since: at }
    }
    last = at
  }
  end(until)
  return times
}

function summed(times: readonly (readonly [id: string, time: number])[]): Spent[] {
  const by = new Map<string, number>()
  for (const [id, time] of times) by.set(id, (by.get(id) ?? 0) + time)
  return [...by].map(([id, time]) => ({ id, time })).sort((a, b) => b.time - a.time)
}
