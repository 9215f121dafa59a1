import type { DocumentId } from '@/core/model/ids'
import { discardDraft, keptContent, putContent } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'

/** Discards what was not saved; as it was typed it stays in the drawer, among what was deleted. */
export function discard(shelf: Shelf, id: DocumentId): void {
  const known = shelf.state().documents[id]
  const { draft = null } = keptContent(shelf, id) ?? {}
  if (known && draft !== null) {
    const now = shelf.clock()
    const copy = {
      id: newId('document'),
      app: known.app,
      title: `${known.title} (discarded)`,
      unsaved: false,
      openedAt: now,
      discarded: true,
      discardedAt: now,
    }
    putContent(shelf, copy.id, { saved: draft, draft: null })
    shelf.dispatch('documents.bring', { documents: [copy] }, 'app')
  }
  discardDraft(shelf, id)
}
