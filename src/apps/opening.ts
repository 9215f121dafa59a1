import type { DocumentId } from '@/core/model/ids'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { bringBack } from '@/store/documents/catalogue'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'

const UNREAD = 'It cannot be read now. Try again.'

/** What nobody has looked at for long comes back to hand first. */
export const about = (shelf: Shelf, ids: string[], run: () => void): void =>
  void bringBack(shelf, ids).then(run, () => shelf.say(UNREAD, { refused: true }))

/**
 * Goes to where a document is open; else opens it here.
 * @returns whether there is one of that id
 */
export async function goToDocument(shelf: Shelf, id: DocumentId): Promise<boolean> {
  await bringBack(shelf, [id]).catch(expected('what is at hand is looked at all the same'))
  const { windows, documents } = shelf.state()
  const known = Object.hasOwn(documents, id) ? documents[id] : undefined
  if (!known || known.discarded) return false
  const there = Object.values(windows).find(({ document }) => document === id)
  if (there) shelf.dispatch('window.focus', { window: there.id })
  else shelf.dispatch('window.open', { app: known.app, document: id })
  return true
}

/** The same for one that is listed. */
export const open = (shelf: Shelf, { id }: DocumentInfo): void =>
  void goToDocument(shelf, id).then((found) => found || shelf.say(UNREAD, { refused: true }))
