import { useEffect, useState } from 'react'

/** How it stands with a service: heard, or lost and tried again. */
export type Connection = 'connecting' | 'heard' | 'lost'

/** What a line of the stream says of a key. */
type Line = { key: string; heard: boolean } | { key: string; event: unknown }

interface Listener {
  /** What it asks of which service; asked at every connection, so that it can say what is known. */
  query(): Record<string, string | number>
  onEvent(event: unknown): void
  onConnection(connection: Connection): void
}

/** How long it waits before it tries again, in milliseconds; longer each time. */
const WAITS = [500, 1000, 2000, 4000, 8000]

/** Everybody who listens, by key. Several windows may show a document: the first one is told. */
const listeners = new Map<string, Listener[]>()

let source: EventSource | null = null
let timer: ReturnType<typeof setTimeout> | undefined
let tries = 0
/** The keys that are not heard now. While one is tried again, the others are heard all the same. */
const lost = new Set<string>()

/** One connection for all of the page: a browser opens only a few to one host. */
function connect(): void {
  if (lost.size) tries++
  source?.close()
  source = null
  const asked = [...listeners].map(([key, [first]]) => query({ key, ...first?.query() }))
  if (asked.length === 0) return
  source = new EventSource(`/api/events?${asked.map((one) => query({ listen: one })).join('&')}`)
  source.onmessage = ({ data }) => hear(JSON.parse(data) as Line)
  source.onerror = () => {
    source?.close()
    for (const key of listeners.keys()) lose(key)
  }
}

function hear(line: Line): void {
  if ('event' in line) listeners.get(line.key)?.[0]?.onEvent(line.event)
  else if (line.heard) {
    if (lost.delete(line.key)) tries = 0
    tell(line.key, 'heard')
  } else lose(line.key)
}

function lose(key: string): void {
  lost.add(key)
  tell(key, 'lost')
  clearTimeout(timer)
  timer = setTimeout(connect, WAITS[Math.min(tries, WAITS.length - 1)])
}

function tell(key: string, connection: Connection): void {
  for (const listener of listeners.get(key) ?? []) listener.onConnection(connection)
}

/** Who listens has changed: soon, for several windows often come at once. */
function reconnect(): void {
  clearTimeout(timer)
  timer = setTimeout(connect)
}

const query = (of: Record<string, string | number>): string =>
  new URLSearchParams(Object.entries(of).map(([name, value]) => [name, String(value)])).toString()

/**
 * Listens to a service for as long as there is a key, reconnecting whenever it is lost.
 * @param asks which service, and what is known already
 */
export function useService<Event>(
  key: string | null,
  asks: () => Record<string, string | number>,
  onEvent: (event: Event) => void,
): Connection {
  const [connection, setConnection] = useState<Connection>('connecting')
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked and told is read when it happens
  useEffect(() => {
    if (key === null) return
    const me: Listener = {
      query: asks,
      onEvent: (event) => onEvent(event as Event),
      onConnection: setConnection,
    }
    const all = listeners.get(key) ?? []
    listeners.set(key, [...all, me])
    reconnect()
    return () => {
      const others = (listeners.get(key) ?? []).filter((other) => other !== me)
      if (others.length) listeners.set(key, others)
      else {
        listeners.delete(key)
        lost.delete(key)
      }
      reconnect()
    }
  }, [key])
  return connection
}

/** How fast the simulated services go; `?speed=20` in the address makes them faster. */
export const serviceSpeed = (): number =>
  Number(new URLSearchParams(location.search).get('speed')) || 1
