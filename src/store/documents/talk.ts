import type { DocumentId } from '@/core/model/ids'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/** What windows of one document say to each other, on this page and in other views of the shelf. */

type Listener = (what: never) => void

/** How other views are reached. */
interface Way {
  talk(document: DocumentId, what: unknown): void
  /** Whether there is none. */
  alone(): boolean
  /** What the lock of whoever leads is called. */
  leading(document: DocumentId): string
}

/** How long what was said to the one that led before is waited for, in milliseconds. */
const ON_ITS_WAY = 100

const listeners = ofShelf(() => new Map<DocumentId, Set<Listener>>())
const own = ofShelf(() => ({ way: null as Way | null }))

export function provideTalk(shelf: Shelf, way: Way): void {
  own(shelf).way = way
}

/** What was said in another view. */
export function hearTalk(shelf: Shelf, document: DocumentId, what: unknown): void {
  for (const listener of listeners(shelf).get(document) ?? []) listener(what as never)
}

/** Takes part in what the windows of a document say. */
export function joinTalk<What>(shelf: Shelf, document: DocumentId, listener: (what: What) => void) {
  const all = listeners(shelf).get(document) ?? new Set()
  listeners(shelf).set(document, all.add(listener))
  const { way } = own(shelf)
  const gone = new AbortController()
  const { signal } = gone
  const alone = (): boolean => all.size === 1 && way?.alone() !== false
  return {
    alone,
    /** Tells the others; those of this page hear it when what is under way is done. */
    say(what: What): void {
      way?.talk(document, what)
      for (const one of all)
        if (one !== listener) queueMicrotask(() => all.has(one) && one(what as never))
    },
    /** Calls back when it is this window's turn to lead: at once, or when the one that leads is gone. */
    async turn(lead: () => void): Promise<void> {
      const held = async () => {
        if (!alone()) await new Promise((done) => setTimeout(done, ON_ITS_WAY))
        if (signal.aborted) return
        lead()
        await new Promise<void>((free) => signal.addEventListener('abort', () => free()))
      }
      if (way) await shelf.locks.request(way.leading(document), { signal }, held)
      else await held()
    },
    leave(): void {
      gone.abort()
      all.delete(listener)
      if (all.size === 0) listeners(shelf).delete(document)
    },
  }
}
