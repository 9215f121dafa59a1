import { type KeyboardEvent, useRef, useState } from 'react'
import type { WindowId } from '@/core/model/ids'
import { title, window as windowOf } from '@/core/model/selectors'
import { Dialog } from '@/parts/Dialog'
import { Keys } from '@/parts/Keys'
import { discard } from '@/store/documents/discard'
import { useArrangement, useShelf } from '@/store/useShelf'
import { saveDocument } from '@/ui/files/saving'

/** It may come while one types on: so long after the last key none answers, in milliseconds. */
const TYPED_ON = 600

/** Before a window with changes that are not saved is closed. */
export function UnsavedDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const [opened] = useState(() => performance.now())
  const last = useRef({ key: '', at: opened })
  const document = useArrangement((state) => windowOf(state, id).document)
  const name = useArrangement((state) => title(state, windowOf(state, id)))
  const close = (save: boolean) => {
    shelf.closeView()
    if (save) void saveDocument(shelf, document)
    else discard(shelf, document)
    shelf.dispatch('window.close', { window: id }, 'key')
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') return
    // When it was pressed, not when a busy page comes to it.
    const { key, timeStamp: at } = event
    const before = last.current
    const isTyped = key.length === 1 && !event.ctrlKey
    if (isTyped) last.current = { key, at }
    const typesOn = isTyped && at - before.at < TYPED_ON && key !== before.key
    // The same key again is meant.
    if (typesOn || at - opened < TYPED_ON) {
      event.preventDefault()
      event.stopPropagation()
    } else if (event.key === 'Backspace' && event.ctrlKey) close(false)
    else if (event.key.toLowerCase() === 's' && !event.ctrlKey) close(true)
  }
  return (
    <Dialog
      title={`Close “${name}”?`}
      intro="It has unsaved changes. What you discard stays in the drawer for 30 days."
      width={480}
    >
      <div
        role="group"
        aria-label="Answer"
        className="mt-5 flex flex-wrap justify-end gap-2"
        onKeyDownCapture={keys}
      >
        <button type="button" className="btn" onClick={shelf.closeView}>
          Keep it open <span className="key">Esc</span>
        </button>
        <button type="button" className="btn" onClick={() => close(false)}>
          Discard changes <Keys keys="Ctrl+Backspace" />
        </button>
        {/* biome-ignore lint/a11y/noAutofocus: the answer that loses nothing */}
        <button type="button" className="btn btn-main" autoFocus onClick={() => close(true)}>
          Save and close <span className="key">S</span>
        </button>
      </div>
    </Dialog>
  )
}
