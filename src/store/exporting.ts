import { type KeptContent, type ShelfFile, shelfFile } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/types'
import { loadContent, putContent } from './documents'
import { dispatch, getState } from './shelf'

/** The shelf with the contents of its documents, as a file. */
export async function exportShelf(): Promise<Blob> {
  const state = getState()
  const ids = Object.keys(state.documents)
  const contents = await Promise.all(ids.map(loadContent))
  const documents = Object.fromEntries(ids.map((id, at) => [id, contents[at] as KeptContent]))
  const json = JSON.stringify(shelfFile(state, documents, Date.now()), null, 1)
  return new Blob([json], { type: 'application/json' })
}

/** Documents that are both here and in a file, with other content. */
export async function differingDocuments(file: ShelfFile): Promise<DocumentId[]> {
  const here = getState().documents
  const differing: DocumentId[] = []
  for (const [id, theirs] of Object.entries(file.documents))
    if (here[id] && JSON.stringify(await loadContent(id)) !== JSON.stringify(theirs))
      differing.push(id)
  return differing
}

/** Brings a shelf file in: all of it, in one undoable step. */
export function importShelf(file: ShelfFile, replace: boolean): void {
  const here = getState().documents
  const documents = Object.entries(file.documents)
  const taken = documents.filter(([id]) => replace || !here[id])
  const unsaved = Object.fromEntries(
    Object.values(file.state.documents).map((info) => [
      info.id,
      replace ? info : { ...info, unsaved: here[info.id]?.unsaved ?? info.unsaved },
    ]),
  )
  const outcome = dispatch('shelf.merge', { state: { ...file.state, documents: unsaved } }, 'key')
  if (outcome.ok) for (const [id, content] of taken) putContent(id, content)
}
