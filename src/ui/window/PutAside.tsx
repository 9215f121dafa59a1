import type { DocumentId } from '@/core/model/ids'
import { dropAside, putContent, useContentPart } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import { useShelf } from '@/store/useShelf'

/** Above what a window shows: that some of its content did not fit its app, and is kept as it was. */
export function PutAside({ document: id }: { document: DocumentId }) {
  const shelf = useShelf()
  const aside = useContentPart(id, (content) => content?.aside)
  if (!aside) return null
  const openAsText = () => {
    const document = newId('document')
    const text = JSON.stringify(aside.draft ?? aside.saved, null, 1)
    const title = `${shelf.state().documents[id]?.title ?? 'Document'}, as it was`
    putContent(shelf, document, { saved: { kind: 'text', text }, draft: null })
    shelf.dispatch('window.open', { app: 'reader', document, title })
  }
  return (
    <div
      role="alert"
      className="flex shrink-0 flex-wrap items-center gap-2 border-seam border-b border-dashed px-3 py-1.5"
    >
      <p className="min-w-0 flex-1 basis-48 break-words text-alarm">
        Some of this content doesn’t fit: {aside.why}. It is kept as it was.
      </p>
      <button type="button" className="btn" onClick={openAsText}>
        Open as text
      </button>
      <button type="button" className="btn" onClick={() => dropAside(shelf, id)}>
        Discard it
      </button>
    </div>
  )
}
