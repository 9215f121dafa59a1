import { type KeptContent, shelfFile } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/types'
import { allDocuments } from './catalogue'
import { peekContent } from './documents'
import { getState } from './shelf'

/** Everything but the journal, and the titles of documents that could not be read. */
export async function exportShelf(): Promise<{ file: Blob; missing: string[] }> {
  const state = { ...getState(), documents: await allDocuments() }
  const documents: Record<DocumentId, KeptContent> = {}
  const missing: string[] = []
  for (const { id, title } of Object.values(state.documents)) {
    const content = await peekContent(id).catch(() => null)
    if (content) documents[id] = content
    else missing.push(title)
  }
  const json = JSON.stringify(shelfFile(state, documents, Date.now(), missing), null, 1)
  return { file: new Blob([json], { type: 'application/json' }), missing }
}

/** The shelf file as text. */
export const exportText = async (): Promise<string> => (await exportShelf()).file.text()
