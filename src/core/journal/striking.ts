import type { JournalEvent } from './events'

/**
 * A journal in which nothing tells what was done in a span: as if one had been away. What comes after
 * it does not say from where one came.
 *
 * @param events in order
 * @param from milliseconds since 1970; so is `until`
 */
export function without(
  events: readonly JournalEvent[],
  from: number,
  until: number,
): JournalEvent[] {
  const before = events.filter(({ at }) => at < from)
  const [next, ...rest] = events.filter(({ at }) => at >= until)
  const left: JournalEvent[] = before.length > 0 ? [{ at: from, kind: 'away', by: 'app' }] : []
  return [...before, ...left, ...(next ? [nameless(next)] : []), ...rest]
}

function nameless({ from: _from, ...event }: JournalEvent): JournalEvent {
  return event
}
