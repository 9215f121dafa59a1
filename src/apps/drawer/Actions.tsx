import { Download, ListChecks, Pencil, Trash2 } from 'lucide-react'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { Tool } from '@/parts/Tool'
import { useShelf } from '@/store/useShelf'
import { about, open } from '../opening'

/** What can be done with what is chosen, or with all that are marked. */
export function Actions({
  shown,
  marked,
  onMark,
}: {
  shown: DocumentInfo[]
  /** Whether the one that is chosen is marked. */
  marked: boolean
  onMark(): void
}) {
  const shelf = useShelf()
  const ids = shown.map(({ id }) => id)
  const [first, ...more] = shown
  if (!first) return null
  const each = (command: 'document.export' | 'document.discard') =>
    about(shelf, ids, () => {
      for (const document of ids) shelf.dispatch(command, { document })
    })
  if (shown.every(({ discarded }) => discarded))
    return (
      <button type="button" className="tool" onClick={() => each('document.discard')}>
        Take back
      </button>
    )
  return (
    <>
      {more.length > 0 ? <span className="text-soft">{shown.length} marked</span> : null}
      <Tool label="Mark, to do something with several" on={marked} onClick={onMark}>
        <ListChecks size={15} />
      </Tool>
      <button
        type="button"
        className="tool"
        onClick={() => {
          for (const one of shown) if (!one.discarded) open(shelf, one)
        }}
      >
        Open
      </button>
      {more.length > 0 ? null : (
        <Tool
          label="Rename"
          onClick={() =>
            about(shelf, ids, () => shelf.dispatch('document.askTitle', { document: first.id }))
          }
        >
          <Pencil size={14} />
        </Tool>
      )}
      <Tool label="Export" onClick={() => each('document.export')}>
        <Download size={14} />
      </Tool>
      <Tool
        label="Delete"
        onClick={() =>
          more.length > 0
            ? about(shelf, ids, () => shelf.dispatch('documents.discard', { documents: ids }))
            : each('document.discard')
        }
      >
        <Trash2 size={14} />
      </Tool>
    </>
  )
}
