import type { DesktopId } from '@/core/model/types'
import type { JournalEvent } from './events'

/**
 * Milliseconds spent on each desktop between two moments, from the journal in order. Time while the
 * page was hidden or shut does not count; where it was shut without a word, the time after the last
 * event does not either.
 */
export function timeOn(
  events: readonly JournalEvent[],
  from: number,
  until: number,
): Record<DesktopId, number> {
  const spent: Record<DesktopId, number> = {}
  let on: { desktop: DesktopId; since: number } | null = null
  let last = from
  const leave = (at: number) => {
    if (on)
      spent[on.desktop] =
        (spent[on.desktop] ?? 0) + Math.max(0, Math.min(at, until) - Math.max(on.since, from))
    on = null
  }
  for (const { at, kind, to } of events) {
    if (kind === 'here') leave(last)
    else if (kind === 'switch' || kind === 'away') leave(at)
    if (to !== undefined && (kind === 'here' || kind === 'switch')) on = { desktop: to, since: at }
    last = at
  }
  leave(until)
  return spent
}
