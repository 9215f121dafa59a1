import type { DocumentId } from '@/core/model/types'
import { loadContent, shownContent } from './documents'

/** How much of each document is looked through, in characters. */
const MOST = 20_000

/** The words in documents, whatever the shape of their content; pictures have none. */
export async function textsOf(ids: DocumentId[]): Promise<Map<DocumentId, string>> {
  const texts = await Promise.all(ids.map(async (id) => words(shownContent(await loadContent(id)))))
  return new Map(ids.map((id, at) => [id, texts[at] ?? '']))
}

function words(content: unknown): string {
  const found: string[] = []
  const gather = (value: unknown) => {
    if (typeof value === 'string' && !value.startsWith('data:')) found.push(value)
    else if (typeof value === 'object' && value)
      for (const part of Object.values(value)) gather(part)
  }
  gather(content)
  return found.join(' ').slice(0, MOST)
}
