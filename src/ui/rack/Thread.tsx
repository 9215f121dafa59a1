import { Plus } from 'lucide-react'
import type { DragEvent } from 'react'
import { explained } from '@/core/commands/explained'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { openFiles } from '@/ui/files/openFiles'

/** So much of a text is the name of what is made of it. */
const NAME = 40

/** What is dropped, as files: a text is one that begins with its first line. */
function dropped({ dataTransfer }: DragEvent): File[] {
  const text = dataTransfer.getData('text/plain').trim()
  if (dataTransfer.files.length > 0 || !text) return [...dataTransfer.files]
  const [line = ''] = text.split('\n')
  return [new File([text], `${line.slice(0, NAME).trim()}.md`, { type: 'text/markdown' })]
}

const takes = ({ dataTransfer: { types } }: DragEvent): boolean =>
  types.includes('Files') || types.includes('text/plain')

/** A desktop that is named after the first of them, and holds them. */
function makeOf(shelf: Shelf, files: File[]): void {
  const name = files[0]?.name.replace(/\.\w+$/, '').slice(0, NAME)
  if (!shelf.dispatch('desktop.create', { name }).ok) return
  void openFiles(shelf, files)
}

/**
 * A loose thread below the rows: a push on it makes a desktop, and so does a window, a file or a text
 * that is dropped there.
 */
export function Thread() {
  const shelf = useShelf()
  return (
    <button
      type="button"
      data-thread=""
      title={explained('desktop.create')}
      aria-label="New desktop"
      className="thread"
      onClick={() => shelf.dispatch('desktop.create')}
      onDragOver={(event) => {
        if (!takes(event)) return
        event.preventDefault()
        event.currentTarget.dataset.drop = 'true'
      }}
      onDragLeave={({ currentTarget }) => {
        delete currentTarget.dataset.drop
      }}
      onDrop={(event) => {
        delete event.currentTarget.dataset.drop
        if (!takes(event)) return
        event.preventDefault()
        const files = dropped(event)
        if (files.length > 0) makeOf(shelf, files)
      }}
    >
      <Plus size={12} aria-hidden />
      <span className="strip:hidden">new desktop</span>
    </button>
  )
}
