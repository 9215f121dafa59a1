import { useGesture } from '@use-gesture/react'
import { Maximize2, Printer, ZoomIn, ZoomOut } from 'lucide-react'
import { type KeyboardEvent, useRef, useState } from 'react'
import { referenceTo } from '@/core/formats/reference'
import type { DocumentId } from '@/core/model/ids'
import { isControl } from '@/parts/isControl'
import { print } from '@/parts/print'
import { Tool } from '@/parts/Tool'
import { useShelf } from '@/store/useShelf'
import { cannotPrint } from './printing'

const STEP = 1.25
const clampZoom = (zoom: number) => Math.max(1, Math.min(zoom, 12))

interface View {
  /** 1 fits the picture into the window. */
  zoom: number
  x: number
  y: number
}

const FIT: View = { zoom: 1, x: 0, y: 0 }

/**
 * A picture that fits its window, with zoom by wheel, pinch and keys, and moved by dragging. While
 * it fits, dragging takes a reference to it elsewhere instead.
 */
export function Picture({ source, document }: { source: string; document: DocumentId }) {
  const shelf = useShelf()
  const [view, setView] = useState(FIT)
  const area = useRef<HTMLElement>(null)
  const zoomBy = (factor: number) =>
    setView(({ zoom, x, y }) => {
      const next = clampZoom(zoom * factor)
      return next === 1 ? FIT : { zoom: next, x: (x * next) / zoom, y: (y * next) / zoom }
    })
  const moveBy = (dx: number, dy: number) =>
    setView((now) => (now.zoom === 1 ? now : { ...now, x: now.x + dx, y: now.y + dy }))
  useGesture(
    {
      onDrag: ({ delta: [x, y] }) => moveBy(x, y),
      onWheel: ({ event, delta: [, y] }) => {
        event.preventDefault()
        // The end of a turn is told as a turn by nothing.
        if (y !== 0) zoomBy(y < 0 ? STEP : 1 / STEP)
      },
    },
    { target: area, eventOptions: { passive: false }, drag: { pointer: { keys: false } } },
  )
  const printed = () => {
    const image = Object.assign(new Image(), { src: source })
    void image
      .decode()
      .then(
        () => print([image], shelf.state().documents[document]?.title ?? ''),
        cannotPrint(shelf),
      )
  }
  const keys = (event: KeyboardEvent) => {
    if (isControl(event, 'p')) {
      event.preventDefault()
      return printed()
    }
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const does: Record<string, () => void> = {
      '+': () => zoomBy(STEP),
      '=': () => zoomBy(STEP),
      '-': () => zoomBy(1 / STEP),
      '0': () => setView(FIT),
      ArrowLeft: () => moveBy(40, 0),
      ArrowRight: () => moveBy(-40, 0),
      ArrowUp: () => moveBy(0, 40),
      ArrowDown: () => moveBy(0, -40),
    }
    const action = does[event.key]
    if (!action) return
    event.preventDefault()
    action()
  }
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Picture">
        <Tool label="Zoom in, +" onClick={() => zoomBy(STEP)}>
          <ZoomIn size={15} />
        </Tool>
        <Tool label="Zoom out, -" disabled={view.zoom === 1} onClick={() => zoomBy(1 / STEP)}>
          <ZoomOut size={15} />
        </Tool>
        <Tool label="Fit, 0" disabled={view.zoom === 1} onClick={() => setView(FIT)}>
          <Maximize2 size={14} />
        </Tool>
        <Tool label="Print" keys="Ctrl+P" onClick={printed}>
          <Printer size={15} />
        </Tool>
        <span className="ml-auto font-mono text-[11px] text-soft">
          {view.zoom === 1 ? 'fit' : `${Math.round(view.zoom * 100)} %`}
        </span>
      </div>
      <section
        ref={area}
        aria-label="Picture: arrows move it, + and - zoom"
        tabIndex={0}
        data-autofocus=""
        onKeyDown={keys}
        className="relative min-h-0 flex-1 touch-none overflow-clip outline-none"
      >
        {/* biome-ignore lint/a11y/noStaticElementInteractions: by keys a reference is copied */}
        <img
          src={source}
          alt=""
          draggable={view.zoom === 1}
          onDragStart={(event) => {
            const known = shelf.state().documents[document]
            if (known) event.dataTransfer.setData('text/plain', referenceTo(known))
          }}
          className="absolute inset-0 size-full object-contain"
          style={{ transform: `translate(${view.x}px, ${view.y}px) scale(${view.zoom})` }}
        />
      </section>
    </>
  )
}
