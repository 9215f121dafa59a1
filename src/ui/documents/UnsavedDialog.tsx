import { title, window as windowOf } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { discardDraft, saveDraft } from '@/store/documents'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Dialog } from '@/ui/parts/Dialog'

/** Before a window with changes that are not saved is closed. */
export function UnsavedDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const document = useArrangement((state) => windowOf(state, id).document)
  const name = useArrangement((state) => title(state, windowOf(state, id)))
  const close = (save: boolean) => {
    shelf.closeView()
    if (save) saveDraft(shelf, document)
    else discardDraft(shelf, document)
    shelf.dispatch('window.close', { window: id }, 'key')
  }
  return (
    <Dialog title={`Close “${name}”?`} intro="It has changes that are not saved." width={440}>
      <div
        role="group"
        aria-label="Answer"
        className="mt-5 flex flex-wrap justify-end gap-2"
        onKeyDown={(event) => {
          if (event.key.toLowerCase() === 's') close(true)
          if (event.key.toLowerCase() === 'd') close(false)
        }}
      >
        <button type="button" className="btn" onClick={shelf.closeView}>
          Keep it open <span className="key">Esc</span>
        </button>
        <button type="button" className="btn" onClick={() => close(false)}>
          Discard changes <span className="key">D</span>
        </button>
        {/* biome-ignore lint/a11y/noAutofocus: the answer that loses nothing */}
        <button type="button" className="btn btn-main" autoFocus onClick={() => close(true)}>
          Save and close <span className="key">S</span>
        </button>
      </div>
    </Dialog>
  )
}
