import { ChevronLeft, ChevronRight, MoveHorizontal, ZoomIn, ZoomOut } from 'lucide-react'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { Tool } from '@/parts/Tool'
import { changeContent } from '@/store/documents/documents'
import { usePassage } from '@/store/documents/passages'
import { useShelf } from '@/store/useShelf'
import type { PdfContent } from './content'
import './pdf.css'
import { usePdf, WIDTH } from './usePdf'

/** How long one stays somewhere before it is kept, in milliseconds: the file is kept with it. */
const STAYED = 1500

const STEP = 1.2

/** A PDF: its pages one below the other, with zoom, search and text to select. */
export default function Pdf({ id, content }: { id: DocumentId; content: PdfContent }) {
  const shelf = useShelf()
  const box = useRef<HTMLDivElement>(null)
  const field = useRef<HTMLInputElement>(null)
  const [place, setPlace] = useState({ page: content.page ?? 1, zoom: content.zoom ?? WIDTH })
  const pdf = usePdf(box, content.data, place)
  const shown = typeof pdf === 'object' ? pdf : null
  const { query, found, find } = useSearch(id, shown)
  useEffect(() => {
    if (!shown) return
    const { viewer, bus } = shown
    const look = () =>
      setPlace({ page: viewer.currentPageNumber, zoom: String(viewer.currentScaleValue) })
    bus.on('pagechanging', look)
    bus.on('scalechanging', look)
  }, [shown])
  useEffect(() => {
    if (place.page === (content.page ?? 1) && place.zoom === (content.zoom ?? WIDTH)) return
    const timer = setTimeout(
      () => changeContent(shelf, id, { ...content, ...place }, 'look'),
      STAYED,
    )
    return () => clearTimeout(timer)
  }, [id, content, place, shelf])
  const turn = (by: number) => {
    if (shown) shown.viewer.currentPageNumber = place.page + by
  }
  const zoom = (by: number | null) => {
    if (!shown) return
    if (by === null) shown.viewer.currentScaleValue = WIDTH
    else shown.viewer.currentScale = Math.max(0.2, Math.min(shown.viewer.currentScale * by, 8))
  }
  const keys = (event: KeyboardEvent) => {
    const { key } = event
    if (event.altKey) return
    if (event.ctrlKey || event.metaKey) {
      if (key.toLowerCase() !== 'f') return
      field.current?.select()
    } else if (key === 'ArrowRight') turn(1)
    else if (key === 'ArrowLeft') turn(-1)
    else if (key === '+' || key === '=') zoom(STEP)
    else if (key === '-') zoom(1 / STEP)
    else if (key === '0') zoom(null)
    else if (key === '/') field.current?.select()
    else return
    event.preventDefault()
  }
  const searching = (event: KeyboardEvent) => {
    if (event.key === 'Enter') find(query, { type: 'again', findPrevious: event.shiftKey })
    else if (event.key === 'Escape') box.current?.focus()
    else return
    event.preventDefault()
  }
  const pages = shown?.viewer.pagesCount ?? 1
  if (pdf === 'problem') return <p className="m-auto p-4 text-soft">This PDF cannot be shown.</p>
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Pages">
        <Tool label="Page before, ←" disabled={place.page === 1} onClick={() => turn(-1)}>
          <ChevronLeft size={15} />
        </Tool>
        <Tool label="Page after, →" disabled={place.page === pages} onClick={() => turn(1)}>
          <ChevronRight size={15} />
        </Tool>
        <Tool label="Zoom in, +" onClick={() => zoom(STEP)}>
          <ZoomIn size={15} />
        </Tool>
        <Tool label="Zoom out, -" onClick={() => zoom(1 / STEP)}>
          <ZoomOut size={15} />
        </Tool>
        <Tool label="As wide as the window, 0" on={place.zoom === WIDTH} onClick={() => zoom(null)}>
          <MoveHorizontal size={15} />
        </Tool>
        <input
          ref={field}
          type="search"
          aria-label="Find in this PDF"
          placeholder="find, /"
          className="field ml-1 min-h-7 w-24 min-w-0 flex-1"
          value={query}
          onChange={(event) => find(event.target.value)}
          onKeyDown={searching}
        />
        <span role="status" className="shrink-0 font-mono text-[11px] text-soft">
          {query && found ? `${found.current}/${found.total} · ` : ''}
          page {place.page} of {pages}
        </span>
      </div>
      <div className="relative min-h-0 flex-1">
        {/* biome-ignore lint/a11y/noStaticElementInteractions: keys turn the pages and zoom */}
        <div
          ref={box}
          tabIndex={0}
          data-autofocus=""
          onKeyDown={keys}
          className="absolute inset-0 overflow-auto bg-ground outline-none"
        >
          <div className="pdfViewer" />
        </div>
      </div>
    </>
  )
}

type Shown = Exclude<ReturnType<typeof usePdf>, string | null>

/** What is looked for in a PDF, how often it is there, and how to look for something. */
function useSearch(id: DocumentId, shown: Shown | null) {
  const [query, setQuery] = useState('')
  const [found, setFound] = useState<{ current: number; total: number } | null>(null)
  useEffect(() => {
    if (!shown) return
    const count = ({ matchesCount }: { matchesCount: { current: number; total: number } }) =>
      setFound(matchesCount)
    shown.bus.on('updatefindmatchescount', count)
    shown.bus.on('updatefindcontrolstate', count)
  }, [shown])
  const find = (text: string, more: object = {}) => {
    setQuery(text)
    shown?.bus.dispatch('find', {
      source: null,
      type: '',
      query: text,
      caseSensitive: false,
      entireWord: false,
      highlightAll: true,
      findPrevious: false,
      matchDiacritics: false,
      ...more,
    })
  }
  usePassage(id, (text) => {
    if (!shown) return false
    find(text)
    return true
  })
  return { query, found, find }
}
