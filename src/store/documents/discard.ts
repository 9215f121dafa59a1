import type { DocumentId } from '@/core/model/ids'
import type { Shelf } from '@/store/shelf'
import { addDocument } from './adding'
import { discardDraft, keptContent } from './documents'

/** Discards what was not saved; as it was typed it stays in the drawer, among what was deleted. */
export function discard(shelf: Shelf, id: DocumentId): void {
  const known = shelf.state().documents[id]
  const { draft = null } = keptContent(shelf, id) ?? {}
  if (known && draft !== null) {
    const now = shelf.clock()
    const { app } = known
    const title = `${known.title} (discarded)`
    addDocument(shelf, { app, title, discarded: true, discardedAt: now }, draft)
  }
  discardDraft(shelf, id)
}
