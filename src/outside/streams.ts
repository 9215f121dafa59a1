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
  /** How many pages listen now. */
  streams: number
  down: Set<string>
  /** How to break off what is told, by key. */
  told: Map<string, Set<() => void>>
}

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteOutside?: Outages }
shared.kiteOutside ??= { streams: 0, down: new Set(), told: new Map() }
const outages = shared.kiteOutside

/** So many services can be down, and so many pages listen, at once. */
const DOWN_MOST = 200
export const STREAMS_MOST = 64

/**
 * Stops or starts the service for those who go by a key; what they are told breaks off at once.
 * @returns false where too many are stopped already
 */
export function setRunning(key: string, running: boolean): boolean {
  if (running) {
    outages.down.delete(key)
    return true
  }
  if (outages.down.size >= DOWN_MOST) return false
  outages.down.add(key)
  for (const breakOff of outages.told.get(key) ?? []) breakOff()
  return true
}

export const isRunning = (key: string): boolean => !outages.down.has(key)

/**
 * A stream of lines for as long as someone listens: `{ key, heard }` when a source is heard or
 * lost, and `{ key, event }` for all it tells.
 */
export function eventStream(sources: Source[], signal: AbortSignal): Response {
  if (outages.streams >= STREAMS_MOST)
    return Response.json({ error: 'Too many pages listen already.' }, { status: 503 })
  outages.streams++
  const encoder = new TextEncoder()
  let close = () => {}
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (line: object) =>
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(line)}\n\n`))
      const stops = sources.map((source) => tell(source, write))
      close = () => {
        close = () => {}
        outages.streams--
        for (const stop of stops) stop()
        controller.close()
      }
      if (signal.aborted) close()
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
    if (told.size === 0) outages.told.delete(key)
  }
  const breakOff = () => {
    stop()
    write({ key, heard: false })
  }
  outages.told.set(key, told.add(breakOff))
  return stop
}

/** A number from a query, or what stands in for it; null where it is no number, or too large. */
export const numberIn = (
  query: URLSearchParams,
  name: string,
  otherwise: number,
  most: number,
): number | null => {
  const text = query.get(name)
  if (text === null) return otherwise
  const given = text.trim() === '' ? Number.NaN : Number(text)
  return given >= 0 && given <= most ? given : null
}
