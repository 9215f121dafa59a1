/** Server-sent events of the simulated services, and outages that can be made to happen. */

interface Outages {
  down: Set<string>
  /** How to end the streams that are open, by the key they go by. */
  open: Map<string, Set<() => void>>
}

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteOutside?: Outages }
shared.kiteOutside ??= { down: new Set(), open: new Map() }
const outages = shared.kiteOutside

/** Stops or starts the service for those who go by a key; their streams break off at once. */
export function setRunning(key: string, running: boolean): void {
  if (running) {
    outages.down.delete(key)
    return
  }
  outages.down.add(key)
  for (const end of outages.open.get(key) ?? []) end()
}

export const isRunning = (key: string): boolean => !outages.down.has(key)

export const unavailable = (): Response => new Response('The service is down.', { status: 503 })

/**
 * A stream of JSON events for as long as someone listens.
 * @param begin is given how to send an event; returns how to stop
 */
export function eventStream(
  key: string,
  signal: AbortSignal,
  begin: (send: (event: object) => void) => () => void,
): Response {
  if (!isRunning(key)) return unavailable()
  const encoder = new TextEncoder()
  let end = () => {}
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => controller.enqueue(encoder.encode(text))
      // A first comment, so that the other side knows at once that it is heard.
      write(': here\n\n')
      const stop = begin((event) => write(`data: ${JSON.stringify(event)}\n\n`))
      end = () => {
        end = () => {}
        stop()
        outages.open.get(key)?.delete(closing)
        controller.close()
      }
      const closing = () => end()
      const others = outages.open.get(key) ?? new Set()
      outages.open.set(key, others.add(closing))
      signal.addEventListener('abort', closing)
    },
    cancel: () => end(),
  })
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  })
}

/** A number from a query, or what stands in for it. */
export const numberIn = (query: URLSearchParams, name: string, otherwise: number): number => {
  const given = Number(query.get(name))
  return query.get(name) !== null && Number.isFinite(given) && given >= 0 ? given : otherwise
}
