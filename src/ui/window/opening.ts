import type { DocumentId } from '@/core/model/ids'
import { jot, jottedJson } from '@/store/jotted'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/**
 * What hangs the page while it is opened must not hang it again: which large documents are being
 * opened is noted where a stopped page leaves it, and looked at when the page comes back.
 */
const PLACE = 'kite-shelf-opening'

/** From this size on opening may take long, in characters. */
const LARGE = 200_000

/** Whether there is so much of a content that opening it may take long. */
export function isLarge(content: unknown): boolean {
  let left = LARGE
  const count = (value: unknown): void => {
    if (left <= 0) return
    if (typeof value === 'string') left -= value.length
    else if (typeof value === 'object' && value !== null)
      for (const part of Object.values(value)) count(part)
  }
  count(content)
  return left <= 0
}

const read = (): DocumentId[] => {
  const kept = jottedJson('localStorage', PLACE)
  return Array.isArray(kept) ? kept.map(String) : []
}

/** Where it cannot be noted, a document that hangs the page has to be closed before it is opened again. */
const write = (ids: DocumentId[]): void => {
  jot('localStorage', PLACE, JSON.stringify(ids))
}

/** Those whose opening did not end the last time the page was open. */
const unfinished = ofShelf(() => new Set(read()))

/** Whether opening a document did not end the last time the page was open. */
export const didNotEnd = (shelf: Shelf, id: DocumentId): boolean => unfinished(shelf).has(id)

export function beginOpening(shelf: Shelf, id: DocumentId): void {
  // What is written now is of this time.
  unfinished(shelf)
  const ids = read()
  if (!ids.includes(id)) write([...ids, id])
}

export function endOpening(shelf: Shelf, id: DocumentId): void {
  unfinished(shelf).delete(id)
  write(read().filter((other) => other !== id))
}
