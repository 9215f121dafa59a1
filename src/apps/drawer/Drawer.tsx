'use client'
import { Brush, FolderInput } from 'lucide-react'
import { type KeyboardEvent, useMemo, useState } from 'react'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { allWords } from '@/core/text/plain'
import { Tool } from '@/parts/Tool'
import { useAllDocuments } from '@/store/documents/catalogue'
import { useTyped } from '@/store/documents/documents'
import { useLooked } from '@/store/documents/texts'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { open } from '../opening'
import { Actions } from './Actions'
import { Item } from './Item'
import { Preview } from './Preview'

const ORDERS = { title: 'by name', opened: 'last opened first', app: 'by app' }
type Order = keyof typeof ORDERS

const compare: Record<Order, (a: DocumentInfo, b: DocumentInfo) => number> = {
  title: (a, b) => a.title.localeCompare(b.title),
  opened: (a, b) => b.openedAt - a.openedAt,
  app: (a, b) => a.app.localeCompare(b.app) || a.title.localeCompare(b.title),
}

/** Everything the person keeps: documents, open or not, to be found, looked at, opened and put away. */
export default function Drawer({ document: own }: AppProps) {
  const shelf = useShelf()
  const documents = useAllDocuments()
  const [filter, setFilter] = useTyped(own, 'filter')
  const [kept, setKept] = useTyped(own, 'order')
  const order: Order = kept in ORDERS ? (kept as Order) : 'title'
  const [chosen, setChosen] = useState<string | null>(null)
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set())
  const ids = useMemo(() => Object.keys(documents), [documents])
  const typed = filter.trim().toLowerCase()
  const looked = useLooked(typed ? ids : null, filter)
  const named = allWords(filter)
  const passage = (id: string) =>
    looked?.typed === filter ? looked.hits.get(id)?.get(typed) : undefined
  // Those found in what is written stand after those by name; deleted ones last, to be taken back.
  const listed = Object.values(documents)
    .filter((one) => one.id !== own && (named(one.title) || passage(one.id)))
    .sort(
      (a, b) =>
        Number(named(b.title)) - Number(named(a.title)) ||
        Number(a.discarded ?? false) - Number(b.discarded ?? false) ||
        compare[order](a, b),
    )
  const shown = listed.find(({ id }) => id === chosen) ?? listed[0]
  const several = listed.filter(({ id }) => marked.has(id))
  const step = (by: number) => {
    const at = (shown ? listed.indexOf(shown) : -1) + by
    setChosen(listed[Math.max(0, Math.min(at, listed.length - 1))]?.id ?? null)
  }
  const mark = (id: string) => {
    const next = new Set(marked)
    if (!next.delete(id)) next.add(id)
    setMarked(next)
  }
  const keys = (event: KeyboardEvent) => {
    const { key, ctrlKey, metaKey } = event
    if (key === 'ArrowDown') step(1)
    else if (key === 'ArrowUp') step(-1)
    else if ((key === ' ' || key === 'Enter') && (ctrlKey || metaKey) && shown) {
      mark(shown.id)
      step(1)
    } else if (key === 'Enter' && shown && !shown.discarded) open(shelf, shown)
    else if (key === 'Escape' && several.length > 0) setMarked(new Set())
    else return
    event.preventDefault()
  }
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Drawer">
        <input
          data-autofocus=""
          aria-label="Filter the drawer"
          title="Searches names and text; Ctrl+Enter marks several files"
          placeholder="filter"
          className="field min-h-7 w-36"
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
          onKeyDown={keys}
        />
        <select
          aria-label="Order"
          className="field min-h-7"
          value={order}
          onChange={(event) => setKept(event.target.value)}
        >
          {Object.entries(ORDERS).map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
        <Tool label="Import files" onClick={() => shelf.dispatch('shelf.openFile')}>
          <FolderInput size={15} />
        </Tool>
        <Tool label="Clear up" onClick={() => shelf.dispatch('documents.clearUp')}>
          <Brush size={15} />
        </Tool>
        <span className="flex-1" />
        {shown ? (
          <Actions
            shown={several.length > 0 ? several : [shown]}
            marked={marked.has(shown.id)}
            onMark={() => mark(shown.id)}
          />
        ) : null}
      </div>
      <div className="flex min-h-0 flex-1">
        <ul aria-label="Files" className="w-1/2 shrink-0 overflow-auto border-seam border-r">
          {listed.map((one) => (
            <Item
              key={one.id}
              one={one}
              chosen={one === shown}
              marked={marked.has(one.id)}
              passage={named(one.title) ? undefined : passage(one.id)}
              onChoose={() => setChosen(one.id)}
              onMark={() => mark(one.id)}
            />
          ))}
        </ul>
        {shown ? (
          <Preview shown={shown} />
        ) : (
          <p className="m-auto p-4 text-soft">No file has that in its name or text.</p>
        )}
      </div>
    </>
  )
}
