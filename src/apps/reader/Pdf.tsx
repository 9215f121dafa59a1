import {
  BookOpen,
  ChevronLeft,
  ChevronRight,
  MoveHorizontal,
  Printer,
  RectangleVertical,
  RotateCw,
  Search,
  ZoomIn,
  ZoomOut,
} from 'lucide-react'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { FindBar } from '@/parts/FindBar'
import { type Asked, NOTHING } from '@/parts/finding'
import { isControl } from '@/parts/isControl'
import { Tool } from '@/parts/Tool'
import { changeContent } from '@/store/documents/documents'
import { usePassage } from '@/store/documents/passages'
import { useFindable } from '@/store/finding'
import { useShelf } from '@/store/useShelf'
import { Contents } from './Contents'
import type { PdfContent } from './content'
import './pdf.css'
import { printPdf } from './printing'
import { type Shown, usePdf, WHOLE, WIDTH } from './usePdf'

/** How long one stays somewhere before it is kept, in milliseconds: the file is kept with it. */
const STAYED = 1500

const STEP = 1.2

/** A PDF: its pages one below the other, with zoom, search, its contents, and text to select. */
export default function Pdf({
  id,
  window,
  content,
}: {
  id: DocumentId
  window: WindowId
  content: PdfContent
}) {
  const shelf = useShelf()
  const box = useRef<HTMLDivElement>(null)
  const [place, setPlace] = useState({
    page: content.page ?? 1,
    zoom: content.zoom ?? WIDTH,
    spread: content.spread ?? false,
  })
  const pdf = usePdf(box, content.data, place)
  const shown = typeof pdf === 'object' ? pdf : null
  const search = useSearch(id, shown)
  useFindable(window, search.open)
  useEffect(() => {
    if (!shown) return
    const { viewer, bus } = shown
    const look = () =>
      setPlace(({ spread }) => ({
        page: viewer.currentPageNumber,
        zoom: String(viewer.currentScaleValue),
        spread,
      }))
    bus.on('pagechanging', look)
    bus.on('scalechanging', look)
  }, [shown])
  useEffect(() => {
    const { page = 1, zoom = WIDTH, spread = false } = content
    if (place.page === page && place.zoom === zoom && place.spread === spread) return
    const timer = setTimeout(
      () => changeContent(shelf, id, { ...content, ...place }, 'look'),
      STAYED,
    )
    return () => clearTimeout(timer)
  }, [id, content, place, shelf])
  const turn = (by: number) => {
    if (shown) shown.viewer.currentPageNumber = place.page + by
  }
  /** @param by a factor, or what of a page fits into the window */
  const zoom = (by: number | typeof WIDTH | typeof WHOLE) => {
    if (!shown) return
    if (typeof by === 'string') shown.viewer.currentScaleValue = by
    else shown.viewer.currentScale = Math.max(0.2, Math.min(shown.viewer.currentScale * by, 8))
  }
  const keys = (event: KeyboardEvent) => {
    const { key } = event
    if (event.altKey) return
    if (event.ctrlKey || event.metaKey) {
      if (isControl(event, 'f')) search.open()
      else if (isControl(event, 'p')) printed()
      else return
    } else if (key === 'ArrowRight') turn(1)
    else if (key === 'ArrowLeft') turn(-1)
    else if (key === '+' || key === '=') zoom(STEP)
    else if (key === '-') zoom(1 / STEP)
    else if (key === '0') zoom(WIDTH)
    else if (key === '9') zoom(WHOLE)
    else if (key === '8') spread()
    else if (key === '/') search.open()
    else if (key === 't') rotate()
    else return
    event.preventDefault()
  }
  const spread = () => {
    if (shown) shown.viewer.spreadMode = place.spread ? 0 : 1
    setPlace((now) => ({ ...now, spread: !now.spread }))
  }
  const printed = () => {
    if (shown) void printPdf(shelf, shown.pdf, shelf.state().documents[id]?.title ?? '')
  }
  const rotate = () => {
    if (shown) shown.viewer.pagesRotation = (shown.viewer.pagesRotation + 90) % 360
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
        <Tool
          label="As wide as the window, 0"
          on={place.zoom === WIDTH}
          onClick={() => zoom(WIDTH)}
        >
          <MoveHorizontal size={15} />
        </Tool>
        <Tool label="Whole page, 9" on={place.zoom === WHOLE} onClick={() => zoom(WHOLE)}>
          <RectangleVertical size={15} />
        </Tool>
        <Tool label="Pages side by side, 8" on={place.spread} onClick={spread}>
          <BookOpen size={15} />
        </Tool>
        <Tool label="Rotate, T" onClick={rotate}>
          <RotateCw size={15} />
        </Tool>
        {shown ? <Contents shown={shown} onLeave={() => box.current?.focus()} /> : null}
        <Tool label="Find, /" onClick={search.open}>
          <Search size={15} />
        </Tool>
        <Tool label="Print" keys="Ctrl+P" onClick={printed}>
          <Printer size={15} />
        </Tool>
        <span className="ml-auto flex shrink-0 items-center gap-1.5 font-mono text-[11px] text-soft">
          <PageField page={place.page} pages={pages} onGo={(page) => turn(page - place.page)} />
          of {pages}
        </span>
        <span role="status" className="sr-only">
          page {place.page} of {pages}
        </span>
      </div>
      {search.asked ? (
        <FindBar
          label="Find in this PDF"
          asked={search.asked}
          onAsk={search.ask}
          count={search.count}
          onStep={search.step}
          onClose={() => {
            search.close()
            box.current?.focus()
          }}
        />
      ) : null}
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

/** The page one is at; another is typed. */
function PageField({
  page,
  pages,
  onGo,
}: {
  page: number
  pages: number
  onGo(page: number): void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const go = () => {
    const wanted = Math.round(Number(typed))
    if (typed?.trim() && wanted >= 1) onGo(Math.min(wanted, pages))
    setTyped(null)
  }
  return (
    <input
      inputMode="numeric"
      aria-label="Page"
      className="field min-h-7 w-12 text-right font-mono text-[12px]"
      value={typed ?? page}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => setTyped(null)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') go()
        else if (event.key === 'Escape') setTyped(null)
        else return
        event.preventDefault()
        event.currentTarget.select()
      }}
    />
  )
}

/** What is looked for in a PDF, how often it is there, and how to look for something. */
function useSearch(id: DocumentId, shown: Shown | null) {
  const [asked, setAsked] = useState<Asked | null>(null)
  const [found, setFound] = useState({ current: 0, total: 0 })
  useEffect(() => {
    if (!shown) return
    const count = ({ matchesCount }: { matchesCount: { current: number; total: number } }) =>
      setFound(matchesCount)
    shown.bus.on('updatefindmatchescount', count)
    shown.bus.on('updatefindcontrolstate', count)
  }, [shown])
  const find = ({ text, caseSensitive, wholeWord }: Asked, more: object = {}) =>
    shown?.bus.dispatch('find', {
      source: null,
      type: '',
      query: text,
      caseSensitive,
      entireWord: wholeWord,
      highlightAll: true,
      findPrevious: false,
      matchDiacritics: false,
      ...more,
    })
  const ask = (next: Asked) => {
    setAsked(next)
    find(next)
  }
  usePassage(id, (text) => {
    if (!shown) return false
    ask({ ...NOTHING, text })
    return true
  })
  return {
    asked,
    ask,
    count: { at: found.current, of: found.total },
    open: () => setAsked((now) => now ?? NOTHING),
    close: () => {
      setAsked(null)
      find(NOTHING)
    },
    step: (by: 1 | -1) => asked && find(asked, { type: 'again', findPrevious: by < 0 }),
  }
}
