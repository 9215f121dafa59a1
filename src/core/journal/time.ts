import type { DesktopId } from '@/core/model/ids'
import type { JournalEvent } from './events'

/** Time that was spent on a desktop without leaving it. */
export interface Stretch {
  desktop: DesktopId
  start: number
  end: number
}

/**
 * The stretches of time on desktops between two moments, from the journal in order. Time while the page
 * was hidden or shut does not count; where it was shut without a word, the time after the last event
 * does not either.
 */
export function stretchesOf(
  events: readonly JournalEvent[],
  from: number,
  until: number,
): Stretch[] {
  const stretches: Stretch[] = []
  let on: { desktop: DesktopId; since: number } | null = null
  let last = from
  const leave = (at: number) => {
    if (!on) return
    const start = Math.max(on.since, from)
    const end = Math.min(at, until)
    if (end > start) stretches.push({ desktop: on.desktop, start, end })
    on = null
  }
  for (const { at, kind, to } of events) {
    if (kind === 'here') leave(last)
    else if (kind === 'switch' || kind === 'away') leave(at)
    if (to !== undefined && (kind === 'here' || kind === 'switch')) on = { desktop: to, since: at }
    last = at
  }
  leave(until)
  return stretches
}

/** Milliseconds spent on each desktop between two moments. */
export function timeOn(
  events: readonly JournalEvent[],
  from: number,
  until: number,
): Record<DesktopId, number> {
  const spent: Record<DesktopId, number> = {}
  for (const { desktop, start, end } of stretchesOf(events, from, until))
    spent[desktop] = (spent[desktop] ?? 0) + end - start
  return spent
}
