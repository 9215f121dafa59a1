import type { DocumentInfo } from '@/core/model/kinds/document'
import { bringBack } from '@/store/documents/catalogue'
import type { Shelf } from '@/store/shelf'

/** What nobody has looked at for long comes back to hand first. */
export const about = (shelf: Shelf, ids: string[], run: () => void): void =>
  void bringBack(shelf, ids).then(run, () =>
    shelf.say('It cannot be read now. Try again.', { refused: true }),
  )

/** Goes to where a document is open; else opens it here. */
export function open(shelf: Shelf, { id, app }: DocumentInfo): void {
  const there = Object.values(shelf.state().windows).find(({ document }) => document === id)
  if (there) return void shelf.dispatch('window.focus', { window: there.id })
  about(shelf, [id], () => shelf.dispatch('window.open', { app, document: id }))
}
