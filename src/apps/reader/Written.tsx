import { Eye, Pencil, Printer, Search } from 'lucide-react'
import { type KeyboardEvent, useRef, useState } from 'react'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { FindIn } from '@/parts/FindIn'
import { isControl } from '@/parts/isControl'
import { print } from '@/parts/print'
import { Tool } from '@/parts/Tool'
import { changeContent } from '@/store/documents/documents'
import { useFindable } from '@/store/finding'
import { useShelf } from '@/store/useShelf'
import { Prose } from '../markdown/Prose'
import type { WrittenContent } from './content'

/** What is typed ends its lines as the text did: a field knows only `\n`. */
const endedAs = (before: string, typed: string): string =>
  before.includes('\r\n') ? typed.replaceAll('\n', '\r\n') : typed

/** A text to be read, found in, printed and edited. */
export function Written({
  id,
  window,
  content,
}: {
  id: DocumentId
  window: WindowId
  content: WrittenContent
}) {
  const shelf = useShelf()
  const area = useRef<HTMLElement>(null)
  const [finding, setFinding] = useState(false)
  const [editing, setEditing] = useState(false)
  const { text, kind } = content
  useFindable(window, () => {
    setEditing(false)
    setFinding(true)
  })
  const printed = () => {
    if (area.current)
      print([area.current.cloneNode(true)], shelf.state().documents[id]?.title ?? '')
  }
  const keys = (event: KeyboardEvent) => {
    if (isControl(event, 'f')) setFinding(true)
    else if (isControl(event, 'p')) printed()
    else if (event.key === 'F2') setEditing(true)
    else return
    event.preventDefault()
  }
  const look = () => {
    setEditing(false)
    requestAnimationFrame(() => area.current?.focus())
  }
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Text">
        {editing ? (
          <Tool label="Done, Escape" onClick={look}>
            <Eye size={15} />
          </Tool>
        ) : (
          <>
            <Tool label="Edit" keys="F2" onClick={() => setEditing(true)}>
              <Pencil size={14} />
            </Tool>
            <Tool label="Find" keys="Ctrl+F" onClick={() => setFinding(true)}>
              <Search size={15} />
            </Tool>
            <Tool label="Print" keys="Ctrl+P" onClick={printed}>
              <Printer size={15} />
            </Tool>
          </>
        )}
      </div>
      {finding && !editing ? (
        <FindIn
          within={area}
          anew={text}
          label="Find in this text"
          onClose={() => setFinding(false)}
        />
      ) : null}
      {editing ? (
        <textarea
          data-autofocus=""
          // biome-ignore lint/a11y/noAutofocus: it was asked for
          autoFocus
          aria-label="Text"
          className="min-h-0 flex-1 resize-none bg-transparent px-[18px] py-3 font-mono text-[13px] outline-none"
          value={text}
          onChange={(event) =>
            changeContent(
              shelf,
              id,
              { ...content, text: endedAs(text, event.target.value) },
              'saved',
            )
          }
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            event.preventDefault()
            event.stopPropagation()
            look()
          }}
        />
      ) : (
        <section
          ref={area}
          aria-label="Text"
          tabIndex={0}
          data-autofocus=""
          className="min-h-0 flex-1 overflow-auto px-[18px] py-3 outline-none"
          onKeyDown={keys}
        >
          {kind === 'markdown' ? (
            <Prose markdown={text} />
          ) : (
            <pre className="whitespace-pre-wrap font-mono text-[13px]">{text}</pre>
          )}
        </section>
      )}
    </>
  )
}
