import type { Editor } from '@tiptap/react'
import { useEffect } from 'react'
import type { DocumentId } from '@/core/model/ids'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { UNTITLED } from './content'

/** How long nothing is typed until a document is named, in milliseconds. */
const QUIET = 600

const LONGEST = 80

/** A document is called as the heading it begins with, until somebody gives it a name. */
export function useNaming(editor: Editor | null, id: DocumentId): void {
  const shelf = useShelf()
  useEffect(() => {
    if (!editor) return
    let last = heading(editor)
    let timer: ReturnType<typeof setTimeout>
    const look = () => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        if (editor.isDestroyed) return
        const next = heading(editor)
        if (next && next !== last && named(shelf, id, last))
          shelf.dispatch('document.set', { document: id, title: next }, 'app')
        if (next) last = next
      }, QUIET)
    }
    editor.on('update', look)
    return () => {
      clearTimeout(timer)
      editor.off('update', look)
    }
  }, [editor, shelf, id])
}

/** Whether its name is nobody’s: that of any new document, or of its heading. */
function named(shelf: Shelf, id: DocumentId, last: string): boolean {
  const title = shelf.state().documents[id]?.title ?? ''
  return title === last || new RegExp(`^${UNTITLED}(?: \\d+)?$`).test(title)
}

function heading({ state: { doc } }: Editor): string {
  const first = doc.firstChild
  return first?.type.name === 'heading' ? first.textContent.trim().slice(0, LONGEST) : ''
}
