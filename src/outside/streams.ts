/**
 * Server-sent events of the simulated services, all of a page in one stream, for a browser opens
 * only a few to one host. Outages of what goes by a key can be made to happen.
 */

/** What a service tells those who listen for a key. */
export interface Source {
  key: string
  /** Begins to tell; returns how to stop. */
  begin(send: (event: object) => void): () => void
}

interface Outages {
  down: Set<string>
  /** How to break off what is told, by key. */
  told: Map<string, Set<() => void>>
}

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteOutside?: Outages }
shared.kiteOutside ??= { down: new Set(), told: new Map() }
const outages = shared.kiteOutside

/** Stops or starts the service for those who go by a key; what they are told breaks off at once. */
export function setRunning(key: string, running: boolean): void {
  if (running) {
    outages.down.delete(key)
    return
  }
  outages.down.add(key)
  for (const breakOff of outages.told.get(key) ?? []) breakOff()
}

export const isRunning = (key: string): boolean => !outages.down.has(key)

/**
 * A stream of lines for as long as someone listens: `{ key, heard }` when a source is heard or
 * lost, and `{ key, event }` for all it tells.
 */
export function eventStream(sources: Source[], signal: AbortSignal): Response {
  const encoder = new TextEncoder()
  let close = () => {}
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (line: object) =>
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(line)}\n\n`))
      const stops = sources.map((source) => tell(source, write))
      close = () => {
        close = () => {}
        for (const stop of stops) stop()
        controller.close()
      }
      signal.addEventListener('abort', () => close())
    },
    cancel: () => close(),
  })
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  })
}

function tell({ key, begin }: Source, write: (line: object) => void): () => void {
  if (!isRunning(key)) {
    write({ key, heard: false })
    return () => {}
  }
  write({ key, heard: true })
  const end = begin((event) => write({ key, event }))
  const told = outages.told.get(key) ?? new Set()
  const stop = () => {
    if (told.delete(breakOff)) end()
  }
  const breakOff = () => {
    stop()
    write({ key, heard: false })
  }
  outages.told.set(key, told.add(breakOff))
  return stop
}

/** A number from a query, or what stands in for it. */
export const numberIn = (query: URLSearchParams, name: string, otherwise: number): number => {
  const given = Number(query.get(name))
  return query.get(name) !== null && Number.isFinite(given) && given >= 0 ? given : otherwise
}
