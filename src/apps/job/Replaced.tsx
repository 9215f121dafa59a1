import { counted } from '@/core/text/counted'
import { discard } from '@/store/documents/discard'
import { loadContent, saveDraft } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Files in which words were replaced wait to be saved: all at once, or each by itself. */
export function Replaced({ documents }: { documents: string[] }) {
  const shelf = useShelf()
  const waiting = useArrangement(({ documents: known }) =>
    documents.filter((id) => known[id]?.unsaved).join(' '),
  )
  const ids = waiting.split(' ').filter(Boolean)
  if (ids.length === 0) return null
  const each = async (act: typeof saveDraft) => {
    for (const id of ids) {
      await loadContent(shelf, id).then(() => act(shelf, id), expected('its window tells'))
    }
  }
  return (
    <div className="flex items-center gap-2 border-seam border-b border-dashed px-3 py-1.5">
      <span className="flex-1">{counted(ids.length, 'file')} not saved</span>
      <button type="button" className="btn min-h-7 px-2" onClick={() => void each(saveDraft)}>
        Save all
      </button>
      <button type="button" className="btn min-h-7 px-2" onClick={() => void each(discard)}>
        Discard all
      </button>
    </div>
  )
}
