import { alone } from '@/core/formats/desktopFile'
import { type KeptContent, shelfFile } from '@/core/formats/shelfFile'
import type { DesktopId, DocumentId, State } from '@/core/model/types'
import { allDocuments } from './catalogue'
import { peekContent } from './documents'
import { getState } from './shelf'

interface Exported {
  file: Blob
  /** Titles of documents that could not be read. */
  missing: string[]
}

/** Everything but the journal. */
export const exportShelf = async (): Promise<Exported> =>
  exported({ ...getState(), documents: await allDocuments() })

/** One desktop with all that is on it; null where there is none. */
export async function exportDesktop(id: DesktopId): Promise<Exported | null> {
  const state = alone({ ...getState(), documents: await allDocuments() }, id)
  return state && exported(state, id)
}

async function exported(state: State, desktop?: DesktopId): Promise<Exported> {
  const documents: Record<DocumentId, KeptContent> = {}
  const missing: string[] = []
  for (const { id, title } of Object.values(state.documents)) {
    const content = await peekContent(id).catch(() => null)
    if (content) documents[id] = content
    else missing.push(title)
  }
  const file = shelfFile(state, documents, Date.now(), missing)
  const json = JSON.stringify({ ...file, ...(desktop && { desktop }) }, null, 1)
  return { file: new Blob([json], { type: 'application/json' }), missing }
}

/** The shelf file as text. */
export const exportText = async (): Promise<string> => (await exportShelf()).file.text()
