import { beside } from '@/core/formats/desktopFile'
import type { KeptContent, ShelfFile } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/types'
import { allDocuments, bringBack } from './catalogue'
import { keptContent, loadContent, markAsKept, peekContent, putContent } from './documents'
import { dispatchAny, getState, onTravel, shelf } from './shelf'

/** Documents that are both here and in a file, with other content; what cannot be read differs. */
export async function differingDocuments(file: ShelfFile): Promise<DocumentId[]> {
  const here = await allDocuments()
  const differing: DocumentId[] = []
  for (const [id, theirs] of Object.entries(file.documents)) {
    if (!here[id]) continue
    const ours = await peekContent(id).catch(() => null)
    if (JSON.stringify(ours) !== JSON.stringify(theirs)) differing.push(id)
  }
  return differing
}

/** The other contents of a step of undo: what is put in when it is gone back or forth over. */
const other = new Map<number, Map<DocumentId, KeptContent | null>>()

/** Whether a step put contents in, which only this page knows how to take back. */
export const hasContents = (step: number): boolean => other.has(step)

onTravel((step) => {
  const contents = other.get(step)
  for (const [id, content] of contents ?? []) {
    contents?.set(id, keptContent(id))
    putContent(id, content)
    markAsKept(id)
  }
})

/** Brings a shelf file in: all of it, contents too, in one undoable step. */
export async function importShelf(file: ShelfFile, replace: boolean): Promise<void> {
  await bringBack(Object.keys(file.state.documents))
  const here = getState().documents
  const taken = Object.entries(file.documents).filter(([id]) => replace || !here[id])
  const before = new Map<DocumentId, KeptContent | null>()
  for (const [id] of taken)
    before.set(id, here[id] ? await loadContent(id).catch(() => null) : null)
  const documents = Object.fromEntries(
    Object.values(file.state.documents).map((info) => [
      info.id,
      replace ? info : { ...info, unsaved: here[info.id]?.unsaved ?? info.unsaved },
    ]),
  )
  bring('shelf.merge', { state: { ...file.state, documents } }, taken, before)
}

/** Does a step that brings documents in, with their contents. */
function bring(
  command: string,
  args: object,
  contents: [DocumentId, KeptContent][],
  before: Map<DocumentId, KeptContent | null>,
): void {
  if (!dispatchAny(command, args, 'key').ok) return
  for (const [id, content] of contents) putContent(id, content)
  const step = shelf.getState().session.history.past.at(-1)
  if (step) other.set(step.id, before)
}

/** Brings the one desktop of a file in, beside all that is here, in one undoable step. */
export async function importDesktop(file: ShelfFile): Promise<void> {
  const newId = (kind: string) => `${kind}-${crypto.randomUUID()}`
  const { desktop, state, documents } = beside(file, getState(), await allDocuments(), newId)
  const contents = Object.entries(documents)
  const before = new Map(contents.map(([id]) => [id, null]))
  bring('desktop.import', { state, desktop }, contents, before)
}
