import type { JournalEvent } from '@/core/journal/events'
import type { AppId, DesktopId, WindowId } from '@/core/model/ids'
import type { Home } from '@/core/model/kinds/home'
import { type Interruption, interruptionsOf } from './interruptions'
import { alternationsOf, groupsOf } from './together'

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
  | {
      kind: 'group'
      /** Windows that are used together, and stand on several desktops. */
      windows: WindowId[]
      /** Where most of them stand. */
      desktop: DesktopId
      /** How often one went to and fro between them. */
      times: number
    }
  | {
      kind: 'letter'
      desktop: DesktopId
      /** The letter of one stroke, and the desktop that has it. */
      letter: string
      other: DesktopId
      /** How often one went to each by key. */
      times: [desktop: number, other: number]
    }
  | {
      kind: 'keys'
      /** A command that is given often, and takes many strokes or has no keys. */
      command: string
      times: number
    }
  | {
      kind: 'quiet'
      /** The hour of the day in which interruptions took longest. */
      hour: number
      /** The desktop that was left most often then. */
      desktop: DesktopId
      times: number
      /** How many days it was so. */
      days: number
      /** How long one was away in all, in milliseconds. */
      away: number
    }
)

/** What there is by now: only that can be meant. */
export interface There {
  desktops: readonly DesktopId[]
  homes: readonly Home[]
  /** What was not to be suggested again. */
  declined: readonly string[]
  letters: Readonly<Record<DesktopId, string | null>>
  /** How many strokes a command takes; null where no keys say it. */
  strokes(command: string): number | null
  /** Where each window stands; those on every desktop are missing. */
  windows: Readonly<Record<WindowId, DesktopId>>
}

/** So often windows of an app must have been opened. */
const OPENED_LEAST = 5
/** So sure one must be that they belong on a desktop. */
const SURE = 0.6
/** A desktop that nobody looked at for so long, in milliseconds. */
const UNSEEN = 14 * 24 * 3_600_000

/** So often one must have gone to and fro between windows that stand apart. */
const TOGETHER_LEAST = 10
/** So often one must have gone to a desktop with a letter of two strokes, and so many times as often as to the other. */
const GONE_LEAST = 20
const GONE_TIMES = 3
/** So often a command must have been given that has no keys, or takes several strokes. */
const KEYLESS_LEAST = 10
const SLOW_LEAST = 25
/** So often, on so many days, and so long one must have been interrupted in an hour. */
const INTERRUPTED_LEAST = 5
const ON_DAYS = 3
const AWAY_LEAST = 10 * 60_000

/**
 * What would save steps: homes for apps that are nearly always opened on one desktop, windows brought
 * together, lighter letters and keys, an hour of quiet, desktops put away that nobody looks at.
 *
 * @param events in order
 * @param now milliseconds since 1970
 */
export function suggestionsFrom(
  events: readonly JournalEvent[],
  state: There,
  now: number,
): Suggestion[] {
  const found = [
    ...homes(events, state),
    ...apart(events, state),
    ...heavy(events, state),
    ...slow(events, state),
    ...loud(events, state),
    ...unseen(events, state.desktops, now),
  ]
  return found.filter(({ id }) => !state.declined.includes(id))
}

function homes(events: readonly JournalEvent[], { desktops, homes: known }: There): Suggestion[] {
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

/** Windows that are used together and stand on several desktops. */
function apart(events: readonly JournalEvent[], { desktops, windows }: There): Suggestion[] {
  const on = (id: WindowId) => {
    const desktop = windows[id]
    return desktop !== undefined && desktops.includes(desktop) ? desktop : null
  }
  // Of those that are gone, or stand side by side, nothing is to be said.
  const between = alternationsOf(events).filter(({ between: [one, other] }) => on(one) && on(other))
  return groupsOf(between).flatMap((group): Suggestion[] => {
    const places = counts(group.windows.flatMap((id) => on(id) ?? []))
    const times = between
      .filter(({ between: both }) => both.every((id) => group.windows.includes(id)))
      .filter(({ between: [one, other] }) => on(one) !== on(other))
      .reduce((sum, alternation) => sum + alternation.times, 0)
    const [desktop] = places[0] ?? []
    if (desktop === undefined || places.length < 2 || times < TOGETHER_LEAST) return []
    const id = `group ${group.windows.join(' ')}`
    return [{ id, kind: 'group', windows: group.windows, desktop, times }]
  })
}

/** A desktop with a letter of two strokes that is gone to far more often than one with a single one. */
function heavy(events: readonly JournalEvent[], { desktops, letters }: There): Suggestion[] {
  const gone = new Map(
    counts(
      events.flatMap(({ kind, by, to }) => (kind === 'switch' && by === 'key' && to ? [to] : [])),
    ),
  )
  const times = (id: DesktopId) => gone.get(id) ?? 0
  const length = (id: DesktopId) => letters[id]?.length ?? 0
  const most = desktops
    .filter((id) => length(id) > 1)
    .reduce<DesktopId | null>((best, id) => (best && times(best) >= times(id) ? best : id), null)
  const least = desktops
    .filter((id) => length(id) === 1)
    .reduce<DesktopId | null>((best, id) => (best && times(best) <= times(id) ? best : id), null)
  if (!most || !least) return []
  const [often, seldom] = [times(most), times(least)]
  if (often < GONE_LEAST || often < seldom * GONE_TIMES) return []
  return [
    {
      id: `letter ${most} ${least}`,
      kind: 'letter',
      desktop: most,
      letter: letters[least] ?? '',
      other: least,
      times: [often, seldom],
    },
  ]
}

/** What is given most often of all that no single stroke says. */
function slow(events: readonly JournalEvent[], { strokes, declined }: There): Suggestion[] {
  const given = events.flatMap(({ kind, command }) => (kind === 'does' && command ? [command] : []))
  const found = counts(given).find(([command, times]) => {
    if (declined.includes(`keys ${command}`)) return false
    const takes = strokes(command)
    return takes === null ? times >= KEYLESS_LEAST : takes > 1 && times >= SLOW_LEAST
  })
  if (!found) return []
  const [command, times] = found
  return [{ id: `keys ${command}`, kind: 'keys', command, times }]
}

/** The hour in which one was away longest for what had asked. */
function loud(events: readonly JournalEvent[], { desktops }: There): Suggestion[] {
  const hours = new Map<number, Interruption[]>()
  for (const one of interruptionsOf(events)) {
    const hour = new Date(one.at).getHours()
    hours.set(hour, [...(hours.get(hour) ?? []), one])
  }
  const found = [...hours].flatMap(([hour, all]) => {
    const days = new Set(all.map(({ at }) => new Date(at).toDateString())).size
    const away = all.reduce((sum, { back }) => sum + (back ?? 0), 0)
    const left = counts(all.map(({ from }) => from)).find(([id]) => desktops.includes(id))
    const enough = all.length >= INTERRUPTED_LEAST && days >= ON_DAYS && away >= AWAY_LEAST
    return left && enough ? [{ hour, desktop: left[0], times: all.length, days, away }] : []
  })
  const [worst] = found.sort((a, b) => b.away - a.away)
  return worst ? [{ id: `quiet ${worst.hour}`, kind: 'quiet', ...worst }] : []
}

/** How often each is there, the most often first. */
function counts<Id extends string>(ids: readonly Id[]): [id: Id, count: number][] {
  const by = new Map<Id, number>()
  for (const id of ids) by.set(id, (by.get(id) ?? 0) + 1)
  return [...by].sort((a, b) => b[1] - a[1])
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
