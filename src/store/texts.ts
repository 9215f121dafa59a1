import type { DocumentId } from '@/core/model/types'
import { peekContent, shownContent } from './documents'
import type { Shelf } from './shelf'

/** How much of each document is looked through, in characters. */
const MOST = 60_000
/** So many documents are read at a time; the page goes on between. */
const BATCH = 20

/**
 * The words in documents, whatever the shape of their content; pictures have none, and neither has
 * what cannot be read. Nothing of it is held on to.
 */
export async function textsOf(
  shelf: Shelf,
  ids: DocumentId[],
  signal?: AbortSignal,
): Promise<Map<DocumentId, string>> {
  const texts = new Map<DocumentId, string>()
  for (let at = 0; at < ids.length && !signal?.aborted; at += BATCH)
    await Promise.all(
      ids.slice(at, at + BATCH).map(async (id) => {
        const content = await peekContent(shelf, id).catch(() => null)
        texts.set(id, content ? words(shownContent(content)) : '')
      }),
    )
  return texts
}

function words(content: unknown): string {
  const found: string[] = []
  let length = 0
  const gather = (value: unknown) => {
    if (length > MOST) return
    if (typeof value === 'string' && !value.startsWith('data:')) {
      found.push(value.slice(0, MOST))
      length += value.length
    } else if (typeof value === 'object' && value)
      for (const [name, part] of Object.entries(value)) if (name !== 'id') gather(part)
  }
  gather(content)
  return found.join(' ').slice(0, MOST)
}
