import { useEffect, useState } from 'react'
import { expected } from '@/store/faults'
import { setHealth } from '@/store/health'
import { newId } from '@/store/newId'
import { useShelf } from '@/store/useShelf'

/** How it stands with a service: heard, lost and tried again, or refused for good. */
export type Connection = 'connecting' | 'heard' | 'lost'

/** What a line of the stream says: that it is open, or something of a key. */
type Line = { open: string } | { key: string; heard: boolean } | { key: string; event: unknown }

interface Listener {
  /** What it asks of which service; asked at every connection, so that it can say what is known. */
  query(): Record<string, string | number>
  onEvent(event: unknown): void
  onConnection(connection: Connection): void
}

/** How long it waits before it tries again, in milliseconds; longer each time. */
const WAITS = [500, 1000, 2000, 4000, 8000]
/** So much is asked for in one request. */
const AT_ONCE = 60

/** Everybody who listens, by key. Several windows may show a document: the first one is told. */
const listeners = new Map<string, Listener[]>()

/** What this page calls itself to the services. */
const page = newId('page')

let source: EventSource | null = null
/** Whether the stream is open, so that it can be asked for something. */
let open = false
let timer: ReturnType<typeof setTimeout> | undefined
let retry: ReturnType<typeof setTimeout> | undefined
let tries = 0
/** The keys that were asked for and not left since. */
const asked = new Set<string>()
/** The keys that are not heard now. While one is tried again, the others are heard all the same. */
const lost = new Set<string>()

/** One connection for all of the page: a browser opens only a few to one host. */
function connect(): void {
  close()
  if (listeners.size === 0) return
  source = new EventSource(`/api/events?${query({ page })}`)
  source.onmessage = ({ data }) => hear(JSON.parse(data) as Line)
  source.onerror = () => {
    close()
    for (const key of listeners.keys()) lose(key)
  }
}

function close(): void {
  source?.close()
  source = null
  open = false
  asked.clear()
}

function hear(line: Line): void {
  if ('open' in line) {
    open = true
    void settle()
  } else if ('event' in line) listeners.get(line.key)?.[0]?.onEvent(line.event)
  else if ('heard' in line && line.heard) {
    if (lost.delete(line.key)) tries = 0
    tell(line.key, 'heard')
  } else if ('key' in line) lose(line.key)
}

/** Asks for what is listened to and was not asked for yet, and leaves what is not any more. */
async function settle(): Promise<void> {
  if (!open) {
    if (!source) connect()
    return
  }
  const leave = [...asked].filter((key) => !listeners.has(key))
  const wanted = [...listeners.keys()].filter((key) => !asked.has(key))
  for (const key of leave) asked.delete(key)
  for (const key of wanted) asked.add(key)
  for (let at = 0; at < Math.max(leave.length, wanted.length); at += AT_ONCE) {
    const keys = wanted.slice(at, at + AT_ONCE)
    const listen = keys.map((key) => query({ key, ...listeners.get(key)?.[0]?.query() }))
    const body = JSON.stringify({ page, listen, leave: leave.slice(at, at + AT_ONCE) })
    const answer = await fetch('/api/events', { method: 'POST', body }).catch(
      expected('the connection is tried again', null),
    )
    // A server that was started anew knows nothing of the page.
    if (answer?.status === 404) return connect()
    const said = answer?.ok ? ((await answer.json()) as { wrong: Record<string, string> }) : null
    for (const key of said ? Object.keys(said.wrong) : keys) lose(key)
  }
}

function lose(key: string): void {
  lost.add(key)
  asked.delete(key)
  tell(key, 'lost')
  if (retry) return
  retry = setTimeout(
    () => {
      retry = undefined
      tries++
      void settle()
    },
    WAITS[Math.min(tries, WAITS.length - 1)],
  )
}

function tell(key: string, connection: Connection): void {
  for (const listener of listeners.get(key) ?? []) listener.onConnection(connection)
}

/** Who listens has changed: soon, for several windows often come at once. */
function changed(): void {
  clearTimeout(timer)
  timer = setTimeout(() => (listeners.size === 0 ? close() : void settle()))
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
  const shelf = useShelf()
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
    changed()
    return () => {
      const others = (listeners.get(key) ?? []).filter((other) => other !== me)
      if (others.length) listeners.set(key, others)
      else {
        listeners.delete(key)
        lost.delete(key)
      }
      changed()
    }
  }, [key])
  useEffect(() => {
    if (connection === 'connecting') return
    setHealth(
      shelf,
      'services',
      connection === 'heard'
        ? { is: 'good', says: 'Messages and jobs are connected.' }
        : {
            is: 'amiss',
            says: 'Messages or jobs are not connected. Retrying; what you send waits.',
          },
    )
  }, [connection, shelf])
  return connection
}

/** How fast the simulated services go; `?speed=20` in the address makes them faster. */
export const serviceSpeed = (): number =>
  Number(new URLSearchParams(location.search).get('speed')) || 1
