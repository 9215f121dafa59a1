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

/**
 * A journal that tells nothing of an app: what was done in its windows is missing. That something had the
 * keys then is told all the same, or what had them before would seem to have had them on.
 */
export function withoutApp(events: readonly JournalEvent[], app: string): JournalEvent[] {
  // Some of what is told of a window does not name its app.
  const windows = new Set(events.flatMap((event) => (event.app === app ? [event.window] : [])))
  return events.flatMap((event) => {
    if (event.app !== app && !(event.window && windows.has(event.window))) return event
    const { app: _app, window: _window, ...rest } = event
    if (event.kind === 'open') return { ...rest, kind: 'focus' }
    return ['switch', 'here', 'focus'].includes(event.kind) ? rest : []
  })
}

function nameless({ from: _from, ...event }: JournalEvent): JournalEvent {
  return event
}
