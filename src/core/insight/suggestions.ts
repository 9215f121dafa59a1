import type { JournalEvent } from '@/core/journal/events'
import type { AppId, DesktopId } from '@/core/model/ids'
import type { Home } from '@/core/model/kinds/home'

/** Something that would save steps, with what speaks for it. */
export type Suggestion = { id: string } & (
  | {
      kind: 'home'
      app: AppId
      desktop: DesktopId
      /** When its windows were opened there, in milliseconds since 1970. */
      there: number[]
      /** How often they were opened at all. */
      all: number
    }
  | {
      kind: 'stow'
      desktop: DesktopId
      /** When it was looked at last, as far back as is known; null where that is not. */
      last: number | null
    }
)

/** So often windows of an app must have been opened. */
const OPENED_LEAST = 5
/** So sure one must be that they belong on a desktop. */
const SURE = 0.6
/** A desktop that nobody looked at for so long, in milliseconds. */
const UNSEEN = 14 * 24 * 3_600_000

/**
 * Apps whose windows are nearly always opened on one desktop, and desktops nobody looks at.
 *
 * @param events in order
 * @param state what there is: the desktops that can be meant, the homes that are there, what was declined
 * @param now milliseconds since 1970
 */
export function suggestionsFrom(
  events: readonly JournalEvent[],
  state: { desktops: readonly DesktopId[]; homes: readonly Home[]; declined: readonly string[] },
  now: number,
): Suggestion[] {
  const found = [...homes(events, state), ...unseen(events, state.desktops, now)]
  return found.filter(({ id }) => !state.declined.includes(id))
}

function homes(
  events: readonly JournalEvent[],
  { desktops, homes: known }: { desktops: readonly DesktopId[]; homes: readonly Home[] },
): Suggestion[] {
  const opened = new Map<AppId, JournalEvent[]>()
  for (const event of events)
    if (event.kind === 'open' && event.app && event.to)
      opened.set(event.app, [...(opened.get(event.app) ?? []), event])
  const found: { sure: number; suggestion: Suggestion }[] = []
  for (const [app, all] of opened) {
    if (all.length < OPENED_LEAST || known.some((home) => home.on && home.app === app)) continue
    for (const desktop of desktops) {
      const there = all.filter(({ to }) => to === desktop).map(({ at }) => at)
      const sure = atLeast(there.length, all.length)
      if (sure < SURE) continue
      const id = `home ${app} ${desktop}`
      found.push({ sure, suggestion: { id, kind: 'home', app, desktop, there, all: all.length } })
    }
  }
  return found.sort((a, b) => b.sure - a.sure).map(({ suggestion }) => suggestion)
}

/** z of the normal distribution for 95 %. */
const Z = 1.96

/**
 * The share that is truly meant when something came so often out of so many times, at least: the lower
 * bound of Wilson’s interval (1927) at 95 %.
 */
export function atLeast(times: number, of: number): number {
  if (of === 0) return 0
  const share = times / of
  const square = Z * Z
  const middle = share + square / (2 * of)
  const spread = Z * Math.sqrt((share * (1 - share)) / of + square / (4 * of * of))
  return (middle - spread) / (1 + square / of)
}

function unseen(
  events: readonly JournalEvent[],
  desktops: readonly DesktopId[],
  now: number,
): Suggestion[] {
  // Before that nothing is known.
  const since = events[0]?.at ?? now
  if (now - since < UNSEEN) return []
  return desktops.flatMap((desktop): Suggestion[] => {
    const last = events.findLast(({ to }) => to === desktop)?.at ?? null
    return now - (last ?? since) < UNSEEN
      ? []
      : [{ id: `stow ${desktop}`, kind: 'stow', desktop, last }]
  })
}
