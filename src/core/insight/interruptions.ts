import type { JournalEvent } from '@/core/journal/events'
import type { AppId, DesktopId } from '@/core/model/ids'

/** Somebody left a desktop for what had asked for attention elsewhere. */
export interface Interruption {
  /** The app that asked. */
  app: AppId
  /** The desktop that was left. */
  from: DesktopId
  /** When it was left, in milliseconds since 1970. */
  at: number
  /** How long until it was gone back to, in milliseconds; null where that did not come. */
  back: number | null
}

/** Who goes there within so long after it asked goes because of it, in milliseconds. */
const ANSWERED = 2 * 60_000
/** Who comes back later than that came for something else, in milliseconds. */
const BACK = 60 * 60_000

/**
 * What one was interrupted by.
 * @param events in order
 */
export function interruptionsOf(events: readonly JournalEvent[]): Interruption[] {
  const found: Interruption[] = []
  let asked: JournalEvent[] = []
  const open: Interruption[] = []
  for (const event of events) {
    if (event.kind === 'asks') asked.push(event)
    // Whoever was away was not interrupted then.
    if (event.kind === 'here') {
      asked = []
      open.length = 0
    }
    if (event.kind !== 'switch' || event.by === 'app') continue
    const returned = open.findIndex(({ from, at }) => from === event.to && event.at - at <= BACK)
    if (returned >= 0) {
      const one = open[returned] as Interruption
      one.back = event.at - one.at
      open.splice(0, returned + 1)
    }
    const cause = asked.find(({ at, to }) => to === event.to && event.at - at <= ANSWERED)
    if (!cause || !event.from || event.from === event.to) continue
    asked = asked.filter((one) => one !== cause)
    const one = { app: cause.app ?? '', from: event.from, at: event.at, back: null }
    found.push(one)
    open.push(one)
  }
  return found
}

/** What an app interrupted: how often, and how long it took to be back. */
export interface Interrupted {
  app: AppId
  times: number
  /** How often one came back within the hour. */
  returned: number
  /** The middle of the times it took, in milliseconds; null where one never came back. */
  back: number | null
}

/** By app, the most often first. */
export function byApp(interruptions: readonly Interruption[]): Interrupted[] {
  const apps = new Map<AppId, Interruption[]>()
  for (const one of interruptions) apps.set(one.app, [...(apps.get(one.app) ?? []), one])
  return [...apps]
    .map(([app, all]) => {
      const times = all.flatMap(({ back }) => back ?? []).sort((a, b) => a - b)
      return {
        app,
        times: all.length,
        returned: times.length,
        back: times[Math.floor((times.length - 1) / 2)] ?? null,
      }
    })
    .sort((a, b) => b.times - a.times || a.app.localeCompare(b.app))
}
