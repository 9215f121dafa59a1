import type { Editor } from '@tiptap/react'
import { ExternalLink, Unlink, X } from 'lucide-react'
import { type FormEvent, type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { Tool } from '@/parts/Tool'
import { useAllDocuments } from '@/store/documents/catalogue'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { TitleField, titled } from '../TitleField'
import { addressOf, isAllowedUri } from './addresses'
import { openReference } from './references'

/** Where what is chosen leads to: an address, or a document of the shelf by its title. */
export function LinkBar({ editor, onClose }: { editor: Editor; onClose(): void }) {
  const shelf = useShelf()
  const files = Object.values(useAllDocuments()).filter(({ discarded }) => !discarded)
  const field = useRef<HTMLInputElement>(null)
  const [was] = useState(() => begin(editor))
  const [typed, setTyped] = useState(() => shownAs(shelf, was))
  const [problem, setProblem] = useState('')
  useEffect(() => field.current?.select(), [])
  const close = () => {
    onClose()
    editor.view.focus()
  }
  const set = (event: FormEvent) => {
    event.preventDefault()
    const file = titled(files, typed)
    const address = file ? `kite:${file.id}` : typed.trim() && addressOf(typed)
    if (!isAllowedUri(address))
      return setProblem(
        'A link must lead to the web, an email address or a document on this shelf.',
      )
    link(editor, address)
    close()
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return
    event.preventDefault()
    event.stopPropagation()
    close()
  }
  return (
    <form aria-label="Link" className="bar flex-wrap gap-1.5" onSubmit={set} onKeyDown={keys}>
      <TitleField
        field={field}
        files={files}
        label="Address or title"
        placeholder="address or document title"
        value={typed}
        onChange={(to) => {
          setProblem('')
          setTyped(to)
        }}
      />
      <button type="submit" className="button min-h-7">
        Link
      </button>
      <Tool label="Open link" disabled={!was} onClick={() => openAddress(shelf, was)}>
        <ExternalLink size={15} />
      </Tool>
      <Tool
        label="Remove link"
        disabled={!was}
        onClick={() => {
          link(editor, '')
          close()
        }}
      >
        <Unlink size={15} />
      </Tool>
      <Tool label="Close, Escape" onClick={close}>
        <X size={15} />
      </Tool>
      {problem ? (
        <p role="alert" className="w-full text-[12px] text-alarm">
          {problem}
        </p>
      ) : null}
    </form>
  )
}

/** Chooses the whole of the link one is in. @returns where it leads, or nothing */
function begin(editor: Editor): string {
  const { href } = editor.getAttributes('link')
  if (!href) return ''
  editor.commands.extendMarkRange('link')
  return String(href)
}

/** What is chosen leads there; where nothing is, the address itself is put in. */
function link(editor: Editor, href: string): void {
  if (!href) editor.commands.unsetLink()
  else if (!editor.state.selection.empty) editor.commands.setLink({ href })
  else
    editor.commands.insertContent({
      type: 'text',
      text: href.replace(/^mailto:/, ''),
      marks: [{ type: 'link', attrs: { href } }],
    })
}

function shownAs(shelf: Shelf, address: string): string {
  const known = shelf.state().documents[address.replace(/^kite:/, '')]
  return address.startsWith('kite:') && known ? known.title : address
}

/** A link to a document goes there; one to the web opens beside the shelf. */
export function openAddress(shelf: Shelf, address: string): void {
  if (address.startsWith('kite:')) openReference(shelf, address)
  else window.open(address, '_blank', 'noopener,noreferrer')
}
