/**
 * Server-sent events of the simulated services, all of a page in one stream, for a browser opens
 * only a few to one host. What a page listens to is said by requests of their own, so that there may
 * be very much of it. Outages of what goes by a key can be made to happen.
 */

/** What a service tells those who listen for a key. */
export interface Source {
  key: string
  /** Begins to tell; returns how to stop. */
  begin(send: (event: object) => void): () => void
}

/** A page that listens, with what it listens to. */
interface Page {
  write(line: object): void
  /** How to stop telling, by key. */
  stops: Map<string, () => void>
}

interface Outages {
  /** The pages that listen now, as they call themselves. */
  pages: Map<string, Page>
  down: Set<string>
  /** How to break off what is told, by key. */
  told: Map<string, Set<() => void>>
}

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteOutside?: Outages }
shared.kiteOutside ??= { pages: new Map(), down: new Set(), told: new Map() }
const outages = shared.kiteOutside

/** So many services can be down, and so many pages listen, at once. */
const DOWN_MOST = 200
export const STREAMS_MOST = 64
/** So much can one page listen to. */
export const SOURCES_MOST = 2000

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
 * A stream of lines for as long as a page listens: `{ key, heard }` when a source is heard or lost,
 * and `{ key, event }` for all it tells. The first line, `{ open }`, says that it may be asked for.
 * @param name what the page calls itself; one of that name before it is let go
 */
export function eventStream(name: string, signal: AbortSignal): Response {
  outages.pages.get(name)?.write({ over: true })
  letGo(name)
  if (outages.pages.size >= STREAMS_MOST)
    return Response.json({ error: 'Too many pages listen already.' }, { status: 503 })
  const encoder = new TextEncoder()
  let close = () => {}
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const page: Page = {
        write: (line) => controller.enqueue(encoder.encode(`data: ${JSON.stringify(line)}\n\n`)),
        stops: new Map(),
      }
      outages.pages.set(name, page)
      close = () => {
        close = () => {}
        // Another page may go by the name by now.
        if (outages.pages.get(name) === page) letGo(name)
        controller.close()
      }
      page.write({ open: name })
      if (signal.aborted) close()
      signal.addEventListener('abort', () => close())
    },
    cancel: () => close(),
  })
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  })
}

function letGo(name: string): void {
  const page = outages.pages.get(name)
  outages.pages.delete(name)
  for (const stop of page?.stops.values() ?? []) stop()
}

/**
 * What a page listens to from now on, beside what it did.
 * @returns the keys that are too many; null where there is no such page
 */
export function listen(name: string, sources: Source[]): string[] | null {
  const page = outages.pages.get(name)
  if (!page) return null
  return sources.flatMap((source) => {
    page.stops.get(source.key)?.()
    page.stops.delete(source.key)
    if (page.stops.size >= SOURCES_MOST) return source.key
    page.stops.set(source.key, tell(source, page.write))
    return []
  })
}

/** What a page does not listen to any more. @returns false where there is no such page */
export function leave(name: string, keys: string[]): boolean {
  const page = outages.pages.get(name)
  for (const key of keys) {
    page?.stops.get(key)?.()
    page?.stops.delete(key)
  }
  return page !== undefined
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
