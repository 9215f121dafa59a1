import type { DocumentId } from '@/core/model/ids'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'
import { putContent } from './documents'

/** Adds a document that something made, without a window. */
export function addDocument(
  shelf: Shelf,
  info: Pick<DocumentInfo, 'app' | 'title'> & Partial<DocumentInfo>,
  content: unknown,
): DocumentId {
  const made = { id: newId('document'), unsaved: false, openedAt: shelf.clock(), ...info }
  putContent(shelf, made.id, { saved: content, draft: null })
  shelf.dispatch('documents.bring', { documents: [made] }, 'app')
  return made.id
}
