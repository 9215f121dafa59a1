import type { DocumentId } from '@/core/model/ids'
import { contentOf, shownContent, useContent } from '@/store/documents/documents'
import type { Shelf } from '@/store/shelf'
import { asContent, type Contents } from './contents'

/** What a document shows now, and draws anew with it; undefined until it was read. */
export function useShownContent<Content>(
  contents: Contents<Content>,
  id: DocumentId,
): Content | undefined {
  const kept = useContent(id)
  return kept && asContent(contents, shownContent(kept))
}

/** What it shows at this moment. */
export const shownNow = <Content>(
  shelf: Shelf,
  contents: Contents<Content>,
  id: DocumentId,
): Content => asContent(contents, contentOf(shelf, id))
