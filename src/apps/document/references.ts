import type { EditorView } from '@tiptap/pm/view'
import { addDocument } from '@/store/documents/adding'
import { loadContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { asContent } from '../contents'
import { whyUnread } from '../contract'
import { goToDocument } from '../opening'
import { READER } from '../reader/content'
import { reader } from '../reader/manifest'

const REFERENCE = /^\[([^\]]*)\]\(kite:([^)\s]+)\)$/

/** A document that is referred to by what was dropped or pasted, or null. */
function referredTo(text: string): { id: string; title: string } | null {
  const found = REFERENCE.exec(text.trim())
  return found ? { id: found[2] ?? '', title: found[1] ?? '' } : null
}

/** Goes to the window that shows a document, or opens one. */
export function openReference(shelf: Shelf, address: string): void {
  const id = address.slice('kite:'.length)
  void goToDocument(shelf, id).then(
    (found) => found || shelf.say('What this refers to is not on this shelf.', { refused: true }),
  )
}

/** A reference to a document that is dropped or pasted becomes a link to it, or its picture. */
export function taken(shelf: Shelf, view: EditorView, text: string, at: number): boolean {
  const found = referredTo(text)
  if (!found) return false
  void loadContent(shelf, found.id)
    .then(({ saved }) => asContent(READER, saved)?.kind === 'picture')
    .catch(expected('a link leads to it all the same', false))
    .then((picture) => insert(view, found.id, found.title, at, picture))
  return true
}

function insert(view: EditorView, id: string, title: string, at: number, picture: boolean): void {
  if (view.isDestroyed) return
  const { schema, tr, doc } = view.state
  const href = `kite:${id}`
  const link = schema.marks.link?.create({ href })
  const node = picture
    ? schema.nodes.image?.create({ src: href, alt: title })
    : schema.text(title || 'document', link ? [link] : [])
  if (node) view.dispatch(tr.insert(Math.min(at, doc.content.size), node).scrollIntoView())
  view.focus()
}

export const isPicture = ({ type }: File): boolean => type.startsWith('image/')

/** A picture from a file: kept as a document of its own, and shown in the text. */
export async function insertPicture(
  shelf: Shelf,
  view: EditorView,
  file: File,
  at: number,
): Promise<void> {
  try {
    const content = await reader.read?.(file, {
      shelf,
      signal: new AbortController().signal,
      progress: () => {},
    })
    const title = file.name.replace(/\.\w+$/, '').trim() || file.name
    const id = addDocument(shelf, { app: 'reader', title }, content)
    insert(view, id, title, at, true)
  } catch (error) {
    shelf.say(`“${file.name}” was not put in: ${whyUnread(error)}. Nothing was changed.`, {
      refused: true,
    })
  }
}
