import { useEffect, useState } from 'react'

/** How it stands with a service: heard, or lost and tried again. */
export type Connection = 'connecting' | 'heard' | 'lost'

/** How long it waits before it tries again, in milliseconds; longer each time. */
const WAITS = [500, 1000, 2000, 4000, 8000]

/** Who listens for a document: several windows may show it, one of them does. */
const listeners = new Map<string, Set<() => void>>()

/**
 * Listens to a service for as long as there is a key, reconnecting whenever it is lost.
 * @param address is asked for at every connection, so that it can say what is known already
 */
export function useService<Event>(
  key: string | null,
  address: () => string,
  onEvent: (event: Event) => void,
): Connection {
  const [connection, setConnection] = useState<Connection>('connecting')
  const [first, setFirst] = useState(false)
  useEffect(() => {
    if (key === null) return
    const all = listeners.get(key) ?? new Set()
    listeners.set(key, all)
    const me = () => setFirst([...all][0] === me)
    all.add(me)
    me()
    return () => {
      all.delete(me)
      for (const other of all) other()
    }
  }, [key])
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked and told is read when it happens
  useEffect(() => {
    if (key === null || !first) return
    let source: EventSource | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    let tries = 0
    const connect = () => {
      source = new EventSource(address())
      source.onopen = () => {
        tries = 0
        setConnection('heard')
      }
      source.onmessage = ({ data }) => onEvent(JSON.parse(data) as Event)
      source.onerror = () => {
        source?.close()
        setConnection('lost')
        timer = setTimeout(connect, WAITS[Math.min(tries++, WAITS.length - 1)])
      }
    }
    connect()
    return () => {
      source?.close()
      clearTimeout(timer)
    }
  }, [key, first])
  return connection
}

/** How fast the simulated services go; `?speed=20` in the address makes them faster. */
export const serviceSpeed = (): number =>
  Number(new URLSearchParams(location.search).get('speed')) || 1
