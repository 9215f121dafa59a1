import type { DocumentId } from '@/core/model/types'
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
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(PLACE) ?? '[]')
    return Array.isArray(kept) ? kept.map(String) : []
  } catch {
    return []
  }
}

const write = (ids: DocumentId[]): void => {
  try {
    localStorage.setItem(PLACE, JSON.stringify(ids))
  } catch {
    // Without it a document that hangs the page has to be closed before it is opened again.
  }
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
