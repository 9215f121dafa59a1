'use client'
import { Brush, Download, FolderInput, Pencil, Trash2 } from 'lucide-react'
import { type DragEvent, type KeyboardEvent, useEffect, useState } from 'react'
import { wordsIn } from '@/core/finding/texts'
import { referenceTo } from '@/core/formats/reference'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { allWords } from '@/core/text/plain'
import { Tool } from '@/parts/Tool'
import { useInSight } from '@/parts/useInSight'
import { bringBack, useAllDocuments } from '@/store/documents/catalogue'
import { peekContent, shownContent, useTyped } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'

/** Everything the person keeps: documents, open or not, to be looked at, opened and put away. */
export default function Drawer({ document: own }: AppProps) {
  const shelf = useShelf()
  const documents = useAllDocuments()
  const [filter, setFilter] = useTyped(own, 'filter')
  const [chosen, setChosen] = useState<string | null>(null)
  const wanted = allWords(filter)
  // Deleted ones stand last, to be taken back.
  const listed = Object.values(documents)
    .filter(({ id, title }) => id !== own && wanted(title))
    .sort(
      (a, b) =>
        Number(a.discarded ?? false) - Number(b.discarded ?? false) ||
        a.title.localeCompare(b.title),
    )
  const shown = listed.find(({ id }) => id === chosen) ?? listed[0]
  const step = (by: number) => {
    const at = (shown ? listed.indexOf(shown) : -1) + by
    setChosen(listed[Math.max(0, Math.min(at, listed.length - 1))]?.id ?? null)
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') step(1)
    else if (event.key === 'ArrowUp') step(-1)
    else if (event.key === 'Enter' && shown && !shown.discarded) open(shelf, shown)
    else return
    event.preventDefault()
  }
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Drawer">
        <input
          data-autofocus=""
          aria-label="Filter the drawer"
          placeholder="filter"
          className="field min-h-7 w-36"
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
          onKeyDown={keys}
        />
        <Tool label="Import files" onClick={() => shelf.dispatch('shelf.openFile')}>
          <FolderInput size={15} />
        </Tool>
        <Tool label="Clear up" onClick={() => shelf.dispatch('documents.clearUp')}>
          <Brush size={15} />
        </Tool>
        <span className="flex-1" />
        {shown ? <Actions shown={shown} /> : null}
      </div>
      <div className="flex min-h-0 flex-1">
        <ul aria-label="Files" className="w-1/2 shrink-0 overflow-auto border-seam border-r">
          {listed.map((one) => (
            <Item
              key={one.id}
              one={one}
              chosen={one === shown}
              onChoose={() => setChosen(one.id)}
            />
          ))}
        </ul>
        {shown ? (
          <Preview shown={shown} />
        ) : (
          <p className="m-auto p-4 text-soft">No file has that name.</p>
        )}
      </div>
    </>
  )
}

/** What nobody has looked at for long comes back to hand first. */
const about = (shelf: Shelf, id: string, run: () => void): void =>
  void bringBack(shelf, [id]).then(run, () =>
    shelf.say('It cannot be read now. Try again.', { refused: true }),
  )

/** Goes to where a document is open; else opens it here. */
const open = (shelf: Shelf, { id, app }: DocumentInfo) => {
  const there = Object.values(shelf.state().windows).find(({ document }) => document === id)
  if (there) return void shelf.dispatch('window.focus', { window: there.id })
  about(shelf, id, () => shelf.dispatch('window.open', { app, document: id }))
}

function Actions({ shown }: { shown: DocumentInfo }) {
  const shelf = useShelf()
  const { id } = shown
  if (shown.discarded)
    return (
      <button
        type="button"
        className="tool"
        onClick={() => about(shelf, id, () => shelf.dispatch('document.discard', { document: id }))}
      >
        Take back
      </button>
    )
  return (
    <>
      <button type="button" className="tool" onClick={() => open(shelf, shown)}>
        Open
      </button>
      <Tool
        label="Rename"
        onClick={() =>
          about(shelf, id, () => shelf.dispatch('document.askTitle', { document: id }))
        }
      >
        <Pencil size={14} />
      </Tool>
      <Tool
        label="Export"
        onClick={() => about(shelf, id, () => shelf.dispatch('document.export', { document: id }))}
      >
        <Download size={14} />
      </Tool>
      <Tool
        label="Delete"
        onClick={() => about(shelf, id, () => shelf.dispatch('document.discard', { document: id }))}
      >
        <Trash2 size={14} />
      </Tool>
    </>
  )
}

function Item({ one, chosen, onChoose }: { one: DocumentInfo; chosen: boolean; onChoose(): void }) {
  const shelf = useShelf()
  const button = useInSight<HTMLButtonElement>(chosen)
  const drag = (event: DragEvent) => {
    event.dataTransfer.setData('text/plain', referenceTo(one))
    event.dataTransfer.effectAllowed = 'copy'
  }
  return (
    <li>
      <button
        ref={button}
        type="button"
        draggable
        aria-current={chosen ? 'true' : undefined}
        className="flex w-full items-center gap-2 px-3 py-1.5 text-left aria-[current]:bg-ink/8 aria-[current]:font-semibold"
        onClick={onChoose}
        onDoubleClick={() => open(shelf, one)}
        onDragStart={drag}
      >
        <span
          dir="auto"
          title={one.title}
          className={`min-w-0 flex-1 truncate text-left ${one.discarded ? 'text-soft line-through' : ''}`}
        >
          {one.title}
        </span>
        <span className="shrink-0 text-[11px] text-soft">
          {one.unsaved ? 'not saved' : shelf.appFacts(one.app)?.name}
        </span>
      </button>
    </li>
  )
}

/** What a file says, as far as it has words. */
function Preview({ shown: { id, title, app } }: { shown: DocumentInfo }) {
  const shelf = useShelf()
  const [text, setText] = useState('')
  useEffect(() => {
    let over = false
    void peekContent(shelf, id).then(
      (content) => over || setText(wordsIn(shownContent(content))),
      expected('it says so itself when it is opened'),
    )
    return () => {
      over = true
    }
  }, [id, shelf])
  return (
    <section aria-label={`Preview of ${title}`} className="min-w-0 flex-1 overflow-auto p-3">
      <h2 className="font-bold font-display text-[16px]">{title}</h2>
      <p className="text-soft">{shelf.appFacts(app)?.name ?? app}</p>
      <p className="mt-2 whitespace-pre-wrap text-[15px]">
        {text.slice(0, 1500) || 'There are no words in it.'}
      </p>
    </section>
  )
}
