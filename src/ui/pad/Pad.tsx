import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { legible, type Push, pushesIn, wordsIn } from '@/core/card/card'
import { beside } from '@/core/geometry/beside'
import type { Direction } from '@/core/geometry/direction'
import { keypadCell, PAD, type PadTarget, padMove } from '@/core/geometry/pad'
import type { Rect, Size } from '@/core/geometry/rect'
import { keysIn } from '@/core/keys/places'
import { connected, frameOf, standsOn } from '@/core/model/displays'
import { excepted, limitsOf } from '@/core/model/exceptions'
import type { WindowId } from '@/core/model/ids'
import { shownFrame, window as windowOf } from '@/core/model/selectors'
import { Keys } from '@/parts/Keys'
import type { Shelf } from '@/store/shelf'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { type Acts, usePlaceKeys } from '@/ui/keys/usePlaceKeys'

/** The card's size, in CSS pixels: the cells, and a line for each of what else the keys do. */
const sizeFor = (lines: number) => ({ width: 288, height: 160 + 22 * lines })

/** A card of nine cells beside a window; on the desktop only the seam of where it would go. */
export function Pad() {
  const id = usePage(({ view }) => (view?.view === 'pad' ? view.window : null))
  // On another display, or one that changes size, it is begun anew.
  const over = useArrangement((state) => {
    const window = id ? state.windows[id] : undefined
    const area = window && state.displays[standsOn(state, window)]
    return area ? `${id} ${area.id} ${area.width} ${area.height}` : null
  })
  return id && over ? <Card key={over} id={id} /> : null
}

function Card({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const window = useArrangement((state) => windowOf(state, id))
  const area = useArrangement((state) => state.displays[standsOn(state, window)])
  const gap = useArrangement((state) => state.settings.gap)
  const several = useArrangement((state) => connected(state).length > 1)

  const [target, setTarget] = useState<PadTarget>(() => ({
    frame: frameOf(shelf.state(), window),
    span: window.placed,
    first: null,
  }))
  const element = useRef<HTMLDivElement>(null)
  useEffect(() => element.current?.focus(), [])
  const keeps = useArrangement((state) => excepted(state, window.app, 'keeps its size'))
  // Whether it is to take the size of its place though its app keeps its own.
  const [sized, setSized] = useState(false)
  // Whether a second cell was just pressed: then a pause keeps it.
  const [spanned, setSpanned] = useState(false)
  const move = (act: string) => (args: { cell?: number; to?: Direction }) => {
    const size = sized || act === 'pad:sized'
    const limits = size ? window.limits : limitsOf(shelf.state(), window)
    const over = { area: area ?? NO_ROOM, limits, gap }
    const moved = padMove(target, act === 'pad:sized' ? 'pad:cell' : act, args, over)
    if (!moved) return
    setTarget(moved.target)
    setSized(size)
    setSpanned(moved.done)
  }
  // What is typed right after the second cell is still the pad's: Enter would go into the window.
  useEffect(() => {
    if (!spanned) return
    const timer = setTimeout(() => keep(shelf, id, target, sized), PAUSE)
    return () => clearTimeout(timer)
  }, [spanned, shelf, id, target, sized])
  const acts: Acts = {
    ...Object.fromEntries(MOVES.map((act) => [act, move(act)])),
    'pad:keep': () => keep(shelf, id, target, sized),
    'pad:leave': shelf.closeView,
    'pad:fill': () => leaveBy(shelf, id, 'fill'),
    'pad:restore': () => leaveBy(shelf, id, 'restore'),
    'pad:next': () => leaveBy(shelf, id, 'next display'),
  }
  const hear = usePlaceKeys('pad', acts, () => ({ window: id }))
  const keys = (event: KeyboardEvent) => {
    const { code, altKey, ctrlKey, metaKey } = event
    if (altKey || ctrlKey || metaKey) return
    const cell = keypadCell(code)
    if (cell === undefined) return void hear(event)
    event.preventDefault()
    move('pad:cell')({ cell })
  }
  const state = shelf.state()
  const letters = CELLS.map((args) => keysIn(state, 'pad', 'pad:cell', args))
  const hints = pushesIn(state, 'pad').filter(
    ({ does }) =>
      does !== wordsIn('pad', 'pad:cell') &&
      (keeps || does !== wordsIn('pad', 'pad:sized')) &&
      (several || does !== wordsIn('pad', 'pad:next')),
  )
  if (!area) return null
  const card = sizeFor(hints.length)
  const { x, y } = beside(shownFrame(shelf.state(), window), card, area)
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
        onBlur={(event) =>
          event.currentTarget.contains(event.relatedTarget) || keep(shelf, id, target, sized)
        }
      >
        <div className="grid grid-cols-3 gap-1">
          {letters.map((letter = '', at) => (
            <button
              key={PAD[at]}
              type="button"
              tabIndex={-1}
              aria-label={`Place at ${PAD[at]}`}
              className={`pad-cell ${covers(target, at) ? 'pad-cell-on' : ''}`}
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => move('pad:cell')({ cell: at })}
            >
              {letter}
            </button>
          ))}
        </div>
        <p className="mt-1.5 font-semibold">
          {spanned
            ? `${keysIn(state, 'pad', 'pad:keep')} or a pause keeps`
            : target.first === null
              ? 'One cell, or two'
              : `To which cell? ${keysIn(state, 'pad', 'pad:keep')} keeps`}
        </p>
        <dl className="pad-keys">
          {hints.map(({ does, pushes }) => (
            <div key={does} className="contents">
              <dt>
                <Pushes pushes={pushes} acts={acts} />
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </div>
    </>
  )
}

const ARROWS: Record<string, string> = { Left: '←', Right: '→', Up: '↑', Down: '↓' }

/** Keys of the pad, each to be pushed as well; what they share, such as Shift, stands before them. */
function Pushes({ pushes, acts }: { pushes: Push[]; acts: Acts }) {
  const shared = pushes.every(({ keys }) => keys.startsWith('Shift+')) && pushes.length > 1
  return (
    <span className="flex items-center gap-[3px]">
      {shared ? <Keys keys="Shift" /> : null}
      {pushes.map(({ keys, command, args, alone }) => (
        <button
          key={keys}
          type="button"
          tabIndex={-1}
          aria-label={alone}
          title={alone}
          className="key hover:border-ink hover:text-ink"
          onPointerDown={(event) => event.preventDefault()}
          onClick={() => acts[command]?.(args)}
        >
          {shown(shared ? keys.slice('Shift+'.length) : keys)}
        </button>
      ))}
    </span>
  )
}

const shown = (keys: string): string => ARROWS[keys] ?? legible(keys)

/** So long after a second cell the window goes there by itself, in milliseconds. */
const PAUSE = 2000

const NO_ROOM: Size = { width: 0, height: 0 }

/** What moves the seam; all else leaves the pad. */
const MOVES = [
  'pad:cell',
  'pad:sized',
  'pad:side',
  'pad:step',
  'pad:grow',
  'pad:shrink',
  'pad:middle',
]

/** The nine cells, as the keymap tells them apart. */
const CELLS = [...PAD].map((_, cell) => ({ cell }))

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
function keep(shelf: Shelf, id: WindowId, { frame, span }: PadTarget, sized: boolean): void {
  const window = windowOf(shelf.state(), id)
  const now = frameOf(shelf.state(), window)
  if (span && (window.maximised || !sameFrame(frame, now) || !window.placed))
    shelf.dispatch('window.place', { window: id, ...span, ...(sized && { sized }) }, 'key')
  else if (!span && (window.maximised || !sameFrame(frame, now)))
    shelf.dispatch('window.resize', { window: id, ...frame }, 'key')
  shelf.closeView()
}

const sameFrame = (a: Rect, b: Rect): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height

function leaveBy(shelf: Shelf, id: WindowId, kind: 'fill' | 'restore' | 'next display'): void {
  const command = {
    fill: 'window.maximise',
    restore: 'window.restore',
    'next display': 'window.nextDisplay',
  }[kind]
  if (kind !== 'fill' || !windowOf(shelf.state(), id).maximised)
    shelf.dispatchAny(command, { window: id }, 'key')
  shelf.closeView()
}
