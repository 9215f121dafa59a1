import { alone } from '@/core/formats/desktopFile'
import { type KeptContent, type ShelfFile, shelfFile } from '@/core/formats/shelfFile'
import type { DesktopId, DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { allDocuments } from './catalogue'
import { peekContent } from './documents'

interface Exported {
  file: Blob
  /** Titles of documents that could not be read. */
  missing: string[]
}

/** Everything but the journal. */
export const exportShelf = async (shelf: Shelf): Promise<Exported> =>
  exported(shelf, { ...shelf.state(), documents: await allDocuments(shelf) })

/** One desktop with all that is on it; null where there is none. */
export async function exportDesktop(shelf: Shelf, id: DesktopId): Promise<Exported | null> {
  const state = alone({ ...shelf.state(), documents: await allDocuments(shelf) }, id)
  return state && exported(shelf, state, id)
}

async function exported(shelf: Shelf, state: State, desktop?: DesktopId): Promise<Exported> {
  const file = await fileOf(shelf, state)
  const json = JSON.stringify({ ...file, ...(desktop && { desktop }) }, null, 1)
  return { file: new Blob([json], { type: 'application/json' }), missing: file.missing ?? [] }
}

async function fileOf(shelf: Shelf, state: State): Promise<ShelfFile> {
  const documents: Record<DocumentId, KeptContent> = {}
  const missing: string[] = []
  for (const { id, title } of Object.values(state.documents)) {
    const content = await peekContent(shelf, id).catch(
      expected('told as missing in the file', null),
    )
    if (content) documents[id] = content
    else missing.push(title)
  }
  return shelfFile(state, documents, shelf.clock(), missing)
}

/** The shelf file, not yet as text. */
export const wholeFile = async (shelf: Shelf): Promise<ShelfFile> =>
  fileOf(shelf, { ...shelf.state(), documents: await allDocuments(shelf) })

/** The shelf file as text. */
export const exportText = async (shelf: Shelf): Promise<string> =>
  (await exportShelf(shelf)).file.text()
