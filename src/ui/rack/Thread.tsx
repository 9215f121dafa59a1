import { Plus } from 'lucide-react'
import { explained } from '@/core/commands/explained'
import { currentId } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { incoming, isTaken, nameOf, takeIn } from '@/ui/files/takeIn'

/** A desktop that is named after what came, and holds it. */
function makeOf(shelf: Shelf, came: ReturnType<typeof incoming>): void {
  const name = nameOf(came)
  if (!name || !shelf.dispatch('desktop.create', { name }).ok) return
  takeIn(shelf, came, currentId(shelf.state()))
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
        if (!isTaken(event.dataTransfer)) return
        event.preventDefault()
        event.currentTarget.dataset.drop = 'true'
      }}
      onDragLeave={({ currentTarget }) => {
        delete currentTarget.dataset.drop
      }}
      onDrop={(event) => {
        delete event.currentTarget.dataset.drop
        if (!isTaken(event.dataTransfer)) return
        event.preventDefault()
        makeOf(shelf, incoming(event.dataTransfer))
      }}
    >
      <Plus size={12} aria-hidden />
      <span className="strip:hidden">new desktop</span>
    </button>
  )
}
