import { beside } from '@/core/formats/desktopFile'
import { type KeptContent, readState, type ShelfFile } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import type { StepContents } from '@/store/disk/steps'
import { expected } from '@/store/faults'
import { newId } from '@/store/newId'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import type { Ran } from '@/store/views/replica'
import { allDocuments, bringBack } from './catalogue'
import { keptContent, loadContent, markAsKept, peekContent, putContent } from './documents'

/** Documents that are both here and in a file, with other content; what cannot be read differs. */
export async function differingDocuments(shelf: Shelf, file: ShelfFile): Promise<DocumentId[]> {
  const here = await allDocuments(shelf)
  const differing: DocumentId[] = []
  for (const [id, theirs] of Object.entries(file.documents)) {
    if (!here[id]) continue
    const ours = await peekContent(shelf, id).catch(expected('it differs, then', null))
    if (JSON.stringify(ours) !== JSON.stringify(theirs)) differing.push(id)
  }
  return differing
}

/** Documents of a file whose content their app cannot show, by title, with why. */
export const misfitsOf = (shelf: Shelf, { state, documents }: ShelfFile): string[] =>
  Object.entries(documents).flatMap(([id, { saved, draft }]) => {
    const { app = '', title = id } = state.documents[id] ?? {}
    const why = shelf.contentProblem(app, saved) ?? shelf.contentProblem(app, draft)
    return why ? `“${title}”: ${why}` : []
  })

/** Why a file cannot be brought in here; null where it can, and is the same when it is loaded again. */
export async function whyNotBrought(shelf: Shelf, file: ShelfFile): Promise<string | null> {
  const { desktop, state } = file.desktop === undefined ? file : await besideHere(shelf, file)
  const command = desktop === undefined ? 'shelf.merge' : 'desktop.import'
  const args = { state, ...(desktop !== undefined && { desktop }) }
  const { session } = shelf.page.getState()
  const { display } = session.state
  const ran: Ran = { n: 0, id: command, args, by: 'key', now: shelf.clock(), ids: [], display }
  const outcome = shelf.runOn(session, ran)
  if (!outcome.ok) return outcome.reason
  try {
    readState(JSON.parse(JSON.stringify(outcome.session.state)))
    return null
  } catch (error) {
    return error instanceof Error ? error.message : 'it could not be loaded again'
  }
}

/** The other contents of a step of undo: what is put in when it is gone back or forth over. */
const other = ofShelf(() => new Map<number, StepContents>())

/** What of documents goes with a step, back and forth. */
export const contentsOf = (shelf: Shelf, step: number): StepContents | undefined =>
  other(shelf).get(step)

/** What was read of a step that was kept. */
export const knowContents = (shelf: Shelf, step: number, contents: StepContents): void =>
  void other(shelf).set(step, contents)

/** Contents go with their step, back and forth. */
export function followTravel(shelf: Shelf): void {
  shelf.onTravel((step) => {
    const contents = other(shelf).get(step)
    if (!contents) return
    // Another one: what is kept of the step has to be written anew.
    const back = [...contents.keys()].map((id) => [id, keptContent(shelf, id)] as const)
    other(shelf).set(step, new Map(back))
    for (const [id, content] of contents) {
      putContent(shelf, id, content)
      markAsKept(shelf, id)
    }
  })
}

/** A shelf goes back to what it was: with all that documents said, in one undoable step. */
export const goBackTo = (shelf: Shelf, file: ShelfFile, name: string): Promise<void> =>
  bringAll(shelf, 'restore.goBack', { name }, file, () => true)

/** Brings a shelf file in: all of it, contents too, in one undoable step. */
export const importShelf = (shelf: Shelf, file: ShelfFile, replace: boolean): Promise<void> =>
  bringAll(shelf, 'shelf.merge', {}, file, () => replace)

/** Goes on from what another machine wrote. @param taken what is to say what it says there */
export const takeOver = (
  shelf: Shelf,
  file: ShelfFile,
  args: { from: string; whole: boolean },
  taken: ReadonlySet<DocumentId>,
): Promise<void> => bringAll(shelf, 'shelf.takeOver', args, file, (id) => taken.has(id))

async function bringAll(
  shelf: Shelf,
  command: string,
  args: object,
  file: ShelfFile,
  replaces: (id: DocumentId) => boolean,
): Promise<void> {
  await bringBack(shelf, Object.keys(file.state.documents))
  const here = shelf.state().documents
  const taken = Object.entries(file.documents).filter(([id]) => replaces(id) || !here[id])
  const before = new Map<DocumentId, KeptContent | null>()
  for (const [id] of taken)
    before.set(
      id,
      here[id]
        ? await loadContent(shelf, id).catch(expected('there is none to go back to', null))
        : null,
    )
  const documents = Object.fromEntries(
    Object.values(file.state.documents).map((info) => [
      info.id,
      replaces(info.id) ? info : { ...info, unsaved: here[info.id]?.unsaved ?? info.unsaved },
    ]),
  )
  bring(shelf, command, { ...args, state: { ...file.state, documents } }, taken, before)
}

/** Does a step that brings documents in, with their contents. */
function bring(
  shelf: Shelf,
  command: string,
  args: object,
  contents: [DocumentId, KeptContent][],
  before: Map<DocumentId, KeptContent | null>,
): void {
  if (!shelf.dispatchAny(command, args, 'key').ok) return
  for (const [id, content] of contents) putContent(shelf, id, content)
  const step = shelf.page.getState().session.history.past.at(-1)
  if (step) other(shelf).set(step.id, before)
}

const besideHere = async (shelf: Shelf, file: ShelfFile): Promise<ShelfFile> =>
  beside(file, shelf.state(), await allDocuments(shelf), newId)

/** Brings the one desktop of a file in, beside all that is here, in one undoable step. */
export async function importDesktop(shelf: Shelf, file: ShelfFile): Promise<void> {
  const { desktop, state, documents } = await besideHere(shelf, file)
  const contents = Object.entries(documents)
  const before = new Map(contents.map(([id]) => [id, null]))
  bring(shelf, 'desktop.import', { state, desktop }, contents, before)
}
