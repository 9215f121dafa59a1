import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { beside } from '@/core/geometry/beside'
import { PAD, type PadStroke, type PadTarget, padStroke } from '@/core/geometry/pad'
import { connected, standsOn } from '@/core/model/displays'
import { shownFrame, window as windowOf } from '@/core/model/selectors'
import type { Rect, WindowId } from '@/core/model/types'
import { closeView, dispatch, getState, useArrangement, useShelf } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'

/** The card's size, in CSS pixels; its style has the same. */
const CARD = { width: 192, height: 288 }

/** A card of nine cells beside a window; on the desktop only the seam of where it would go. */
export function Pad() {
  const id = useShelf(({ view }) => (view?.view === 'pad' ? view.window : null))
  return id ? <Card key={id} id={id} /> : null
}

function Card({ id }: { id: WindowId }) {
  const window = useArrangement((state) => windowOf(state, id))
  const area = useArrangement((state) => state.displays[window.display])
  const gap = useArrangement((state) => state.settings.gap)
  const stands = useArrangement((state) => shownFrame(state, window).x)
  const several = useArrangement((state) => connected(state).length > 1)

  const [target, setTarget] = useState<PadTarget>({
    frame: window.frame,
    span: window.placed,
    first: null,
  })
  const card = useRef<HTMLDivElement>(null)
  // Another display, another size: what was meant is placed anew.
  useEffect(() => {
    const { frame, placed } = windowOf(getState(), id)
    setTarget({ frame, span: placed, first: null })
    card.current?.focus()
  }, [id, area?.width, area?.height, window.display])
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
  const { x, y } = beside({ ...shownFrame(getState(), window), x: stands }, CARD, area)
  return (
    <>
      <Seam frame={target.frame} />
      <div
        ref={card}
        role="dialog"
        aria-label="Pad"
        tabIndex={-1}
        className="pad-card"
        style={{ left: x, top: y, ...CARD }}
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
          {(several ? [NEXT_DISPLAY, ...HINTS] : HINTS).map(([keys, says]) => (
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
  const { frame: now, maximised } = windowOf(getState(), id)
  if (span) dispatch('window.place', { window: id, ...span }, 'key')
  else if (maximised || !sameFrame(frame, now))
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
