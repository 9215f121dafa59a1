import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { beside } from '@/core/geometry/beside'
import { PAD, type PadStroke, type PadTarget, padStroke } from '@/core/geometry/pad'
import { connected, frameOf, standsOn } from '@/core/model/displays'
import { shownFrame, window as windowOf } from '@/core/model/selectors'
import type { Rect, WindowId } from '@/core/model/types'
import { closeView, dispatch, getState, useArrangement, useShelf } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'

/** The card's size, in CSS pixels: the cells, and a line for each of what else the keys do. */
const sizeFor = (lines: number) => ({ width: 200, height: 164 + 23 * lines })

/** A card of nine cells beside a window; on the desktop only the seam of where it would go. */
export function Pad() {
  const id = useShelf(({ view }) => (view?.view === 'pad' ? view.window : null))
  // On another display, or one that changes size, it is begun anew.
  const over = useArrangement((state) => {
    const window = id ? state.windows[id] : undefined
    const area = window && state.displays[standsOn(state, window)]
    return area ? `${id} ${area.id} ${area.width} ${area.height}` : null
  })
  return id && over ? <Card key={over} id={id} /> : null
}

function Card({ id }: { id: WindowId }) {
  const window = useArrangement((state) => windowOf(state, id))
  const area = useArrangement((state) => state.displays[standsOn(state, window)])
  const gap = useArrangement((state) => state.settings.gap)
  const several = useArrangement((state) => connected(state).length > 1)

  const [target, setTarget] = useState<PadTarget>(() => ({
    frame: frameOf(getState(), window),
    span: window.placed,
    first: null,
  }))
  const element = useRef<HTMLDivElement>(null)
  useEffect(() => element.current?.focus(), [])
  if (!area) return null
  const over = { area, limits: window.limits, gap }
  const heard = (stroke: PadStroke) => {
    if (stroke.kind === 'nothing') return false
    if (stroke.kind === 'target') {
      setTarget(stroke.target)
      if (stroke.done) keep(id, stroke.target)
    } else if (stroke.kind === 'keep') keep(id, target)
    else if (stroke.kind === 'leave') closeView()
    else leaveBy(id, stroke.kind)
    return true
  }
  const keys = (event: KeyboardEvent) => {
    const { key, code, shiftKey: shift, altKey, ctrlKey, metaKey } = event
    if (altKey || ctrlKey || metaKey) return
    if (heard(padStroke(target, { key, code, shift }, over))) event.preventDefault()
  }
  const cell = (letter: string) =>
    heard(padStroke(target, { key: letter, code: '', shift: false }, over))
  const hints = several ? [...HINTS.slice(0, -2), NEXT_DISPLAY, ...HINTS.slice(-2)] : HINTS
  const card = sizeFor(hints.length)
  const { x, y } = beside(shownFrame(getState(), window), card, area)
  return (
    <>
      <Seam frame={target.frame} />
      <div
        ref={element}
        role="dialog"
        aria-label="Pad"
        tabIndex={-1}
        className="pad-card"
        style={{ left: x, top: y, ...card }}
        onKeyDown={keys}
        onBlur={(event) => event.currentTarget.contains(event.relatedTarget) || keep(id, target)}
      >
        <div className="grid grid-cols-3 gap-1">
          {[...PAD].map((letter, at) => (
            <button
              key={letter}
              type="button"
              tabIndex={-1}
              aria-label={`Place at ${letter}`}
              className={`pad-cell ${covers(target, at) ? 'pad-cell-on' : ''}`}
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => cell(letter)}
            >
              {letter}
            </button>
          ))}
        </div>
        <p className="mt-1.5 font-semibold">
          {target.first === null ? 'One cell, or two' : 'To which cell? Enter keeps'}
        </p>
        <dl className="pad-keys">
          {hints.map(([keys, says]) => (
            <div key={says} className="contents">
              <dt>
                <Keys keys={keys} />
              </dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
      </div>
    </>
  )
}

const HINTS: [keys: string, says: string][] = [
  ['← →', 'half, third of it'],
  ['Shift+←', 'a step'],
  ['+ −', 'grow, shrink'],
  ['M F', 'middle, fill'],
  ['R', 'as it stood before'],
  ['Enter', 'keep'],
  ['Esc', 'leave as it was'],
]
const NEXT_DISPLAY: (typeof HINTS)[number] = ['N', 'the next display']

/** Whether a window that goes there covers the middle of a cell. */
function covers({ span }: PadTarget, at: number): boolean {
  const [row, column] = [Math.floor(at / 3) + 0.5, (at % 3) + 0.5]
  return (
    !!span &&
    row > span.top &&
    row < span.bottom + 1 &&
    column > span.left &&
    column < span.right + 1
  )
}

/** Where the window would go, stitched. */
const Seam = ({ frame: { x, y, width, height } }: { frame: Rect }) => (
  <div aria-hidden className="pad-seam" style={{ left: x, top: y, width, height }} />
)

/** One step of undo, or none where nothing would change. */
function keep(id: WindowId, { frame, span }: PadTarget): void {
  const window = windowOf(getState(), id)
  const now = frameOf(getState(), window)
  if (span && (window.maximised || !sameFrame(frame, now) || !window.placed))
    dispatch('window.place', { window: id, ...span }, 'key')
  else if (!span && (window.maximised || !sameFrame(frame, now)))
    dispatch('window.resize', { window: id, ...frame }, 'key')
  closeView()
}

const sameFrame = (a: Rect, b: Rect): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height

function leaveBy(id: WindowId, kind: 'fill' | 'restore' | 'next display'): void {
  const command = {
    fill: 'window.maximise',
    restore: 'window.restore',
    'next display': 'window.nextDisplay',
  }[kind]
  if (kind !== 'fill' || !windowOf(getState(), id).maximised)
    dispatch(command, { window: id }, 'key')
  closeView()
}
