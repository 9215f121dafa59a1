import { ChevronLeft, ChevronRight } from 'lucide-react'
import type { PDFDocumentProxy } from 'pdfjs-dist'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { Tool } from '@/ui/parts/Tool'
import { openPdf } from './pdf'

/** A PDF, a page at a time, as wide as the window. */
export default function Pdf({ data }: { data: string }) {
  const [pdf, setPdf] = useState<PDFDocumentProxy | null>(null)
  const [problem, setProblem] = useState(false)
  const [page, setPage] = useState(1)
  useEffect(() => {
    let opened: PDFDocumentProxy | null = null
    let left = false
    openPdf(data).then(
      (document) => {
        opened = document
        if (left) void document.loadingTask.destroy()
        else setPdf(document)
      },
      () => setProblem(true),
    )
    return () => {
      left = true
      void opened?.loadingTask.destroy()
    }
  }, [data])
  const pages = pdf?.numPages ?? 1
  const turn = (by: number) => setPage((now) => Math.max(1, Math.min(now + by, pages)))
  const keys = (event: KeyboardEvent) => {
    if (event.altKey) return
    if (event.key === 'PageDown' || event.key === 'ArrowRight') turn(1)
    else if (event.key === 'PageUp' || event.key === 'ArrowLeft') turn(-1)
    else return
    event.preventDefault()
  }
  if (problem) return <p className="m-auto p-4 text-soft">This PDF cannot be shown.</p>
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Pages">
        <Tool label="Page before" disabled={page === 1} onClick={() => turn(-1)}>
          <ChevronLeft size={15} />
        </Tool>
        <Tool label="Page after" disabled={page === pages} onClick={() => turn(1)}>
          <ChevronRight size={15} />
        </Tool>
        <span className="ml-auto font-mono text-[11px] text-soft">
          page {page} of {pages}
        </span>
      </div>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: keys turn the pages */}
      <div
        tabIndex={0}
        data-autofocus=""
        onKeyDown={keys}
        className="min-h-0 flex-1 overflow-auto bg-ground p-2 outline-none"
      >
        {pdf ? <Page pdf={pdf} number={page} /> : null}
      </div>
    </>
  )
}

function Page({ pdf, number }: { pdf: PDFDocumentProxy; number: number }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [text, setText] = useState('')
  useEffect(() => {
    let left = false
    const draw = async () => {
      const page = await pdf.getPage(number)
      const surface = canvas.current
      if (left || !surface) return
      const viewport = page.getViewport({ scale: 1.5 * devicePixelRatio })
      surface.width = viewport.width
      surface.height = viewport.height
      await page.render({ canvas: surface, viewport }).promise
      const { items } = await page.getTextContent()
      if (!left) setText(items.map((item) => ('str' in item ? item.str : '')).join(' '))
    }
    draw().catch(() => {})
    return () => {
      left = true
    }
  }, [pdf, number])
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={text || `Page ${number}`}
      className="w-full bg-white"
    />
  )
}
