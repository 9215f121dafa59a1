import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { appOf } from '@/apps/list'
import { type Direction, nearest } from '@/core/geometry/direction'
import type { Size } from '@/core/geometry/rect'
import type { Place } from '@/core/geometry/shelves'
import { hints, readingOrder, UNSTACK_GAP, unstack } from '@/core/geometry/unstack'
import { keysIn } from '@/core/keys/places'
import { standsOn } from '@/core/model/displays'
import type { WindowId } from '@/core/model/ids'
import type { Window } from '@/core/model/kinds/window'
import {
  currentId,
  focusedWindow,
  focusId,
  isShown,
  shownFrame,
  stack,
  title,
} from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { ignoreSecondClick } from '@/parts/secondClick'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { useArea } from '@/ui/area/area'
import { clickedToMark, drawBand, toggleMark } from '@/ui/hand/marking'
import { useChosen } from '@/ui/keys/useChosen'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { useCloseLook, useHeldLook } from '@/ui/window/closely'
import { useLaidDrag } from './useLaidDrag'

/** Windows side by side, none covering another, each with a letter to pick it by. */
export function Unstack() {
  const view = usePage((now) => (now.view?.view === 'unstack' ? now.view : null))
  return view ? <Laid ofApp={view.app} of={view.desktop} /> : null
}

function Laid({ ofApp, of }: { ofApp: boolean; of: string | undefined }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const apps = useMemo(
    () => [...new Set(Object.values(state.windows).map(({ app }) => app))].sort(),
    [state.windows],
  )
  const [app, setApp] = useState(() => (ofApp ? (focusedWindow(state)?.app ?? apps[0]) : undefined))
  const [chosen, setChosen] = useState(focusId(state))
  const [typed, setTyped] = useState('')
  const place = useRef<HTMLDivElement>(null)
  const [without, setWithout] = useState(false)
  const { windows, minimised, places } = useLaidOut(state, app, of, without)
  const letters = hints(windows.length)
  const current = windows.find(({ id }) => id === chosen) ?? windows[0]
  useChosen(current?.id ?? null)
  const marked = useMarkedHere().filter((id) => places[id])
  useEffect(() => {
    const area = document.getElementById('desktop')
    if (area) area.dataset.gliding = ''
    place.current?.focus()
    return () => {
      setTimeout(() => delete area?.dataset.gliding, 200)
    }
  }, [])
  const pick = (window: Window | undefined) => {
    // A pick does not return to the loft, wherever it was asked from.
    shelf.page.setState({ view: null, loftBehind: false })
    if (window) shelf.dispatch('window.focus', { window: window.id }, 'key')
  }
  const step = (direction: Direction) => {
    const rects = windows.map(({ id }) => rectOf(places[id]))
    const from = rectOf(places[current?.id ?? ''])
    const at = nearest(from, rects, direction)
    if (at !== null) setChosen(windows[at]?.id ?? null)
  }
  const hear = (letter: string) => {
    const so = typed + letter
    const at = letters.indexOf(so)
    if (at >= 0) pick(windows[at])
    else setTyped(letters.some((hint) => hint.startsWith(so)) ? so : '')
  }
  const toApp = (by: number) => {
    const at = apps.indexOf(app ?? '') + by
    setApp(apps[(at + apps.length) % apps.length])
    setTyped('')
  }
  const look = useCloseLook(current?.id ?? null)
  const drag = useLaidDrag()
  const heard = usePlaceKeys(
    'unstack',
    {
      'unstack:walk': ({ to }: { to: Direction }) => step(to),
      'unstack:pick': () => pick(current),
      'unstack:look': (_, key) => look(key, () => current && toggleMark(shelf, current.id)),
      'unstack:leave': shelf.closeView,
      'unstack:minimised': () => setWithout(!without),
      'unstack:next': () => toApp(1),
      'unstack:previous': () => toApp(-1),
    },
    () => ({ window: current?.id ?? null, windows: marked }),
  )
  const keys = (event: React.KeyboardEvent) => {
    // A letter that is a hint picks, unless the person gave it another meaning here.
    if (heard(event) || !/^[a-z]$/i.test(event.key)) return
    hear(event.key.toUpperCase())
    event.preventDefault()
    event.stopPropagation()
  }
  const minimise = useArrangement((state) => keysIn(state, 'unstack', 'unstack:minimised'))
  const leave = useArrangement((state) => keysIn(state, 'unstack', 'unstack:leave'))
  return (
    <div
      id="unstack"
      ref={place}
      role="dialog"
      aria-label="Unstack"
      tabIndex={-1}
      className="absolute inset-0 z-(--over) select-none outline-none"
      onKeyDown={keys}
      onPointerDown={(event) => drawBand(shelf, event, shelf.closeView)}
    >
      {minimised > 0 ? (
        <button
          type="button"
          tabIndex={-1}
          className="absolute bottom-0.5 left-3 flex items-center gap-2 text-[12px] text-soft hover:text-ink"
          onClick={() => setWithout(!without)}
        >
          {minimise ? <Keys keys={minimise} /> : null} {without ? 'show' : 'leave out'} {minimised}{' '}
          minimised
        </button>
      ) : null}
      {windows.length === 0 ? (
        <p className="m-10 text-soft">No windows to lay out. {leave} returns.</p>
      ) : null}
      <div className="touch-none" {...drag()}>
        {windows.map((window, at) => {
          const { x, y, width, height, scale } = places[window.id] ?? NOWHERE
          return (
            <Picked
              key={window.id}
              window={window}
              name={title(state, window)}
              state={state}
              hint={letters[at] ?? ''}
              chosen={window === current}
              withDesktop={app !== undefined}
              marked={marked.includes(window.id)}
              rect={{ x, y, width: width * scale, height: height * scale }}
              onPick={() => pick(window)}
            />
          )
        })}
      </div>
    </div>
  )
}

/** The windows, where each is drawn while they are laid out, and how many are minimised. */
function useLaidOut(
  state: State,
  app: string | undefined,
  of: string | undefined,
  withoutMinimised: boolean,
) {
  const { setState } = useShelf().page
  const area = useArea()
  const all = useMemo(() => inOrder(state, app, of), [state, app, of])
  const windows = useMemo(
    () => (withoutMinimised ? all.filter((window) => !window.minimised) : all),
    [all, withoutMinimised],
  )
  const places = useMemo(() => layOut(state, windows, area), [state, windows, area])
  useLayoutEffect(() => setState({ places }), [places, setState])
  useLayoutEffect(() => () => setState({ places: null }), [setState])
  return { windows, places, minimised: all.filter((window) => window.minimised).length }
}

/** The windows that are marked here; what was marked in the loft is marked there again. */
function useMarkedHere(): WindowId[] {
  const { page } = useShelf()
  useEffect(() => {
    const { marked: before } = page.getState()
    page.setState({ marked: [] })
    return () => page.setState({ marked: before })
  }, [page])
  return usePage((now) => now.marked)
}

/** Below this width of a miniature its caption needs the room of the glyph. */
const NARROW = 110

const NOWHERE: Place = { x: 0, y: 0, width: 0, height: 0, scale: 1 }

const rectOf = ({ x, y, width, height, scale }: Place = NOWHERE) => ({
  x,
  y,
  width: width * scale,
  height: height * scale,
})

/** The windows there are to lay out: of this desktop or of an app, in reading order. */
function inOrder(state: State, app: string | undefined, of: string | undefined): Window[] {
  const here = of
    ? stack(state, of)
    : stack(state, currentId(state)).filter(
        (window) => isShown(state, window) && standsOn(state, window) === state.display,
      )
  const meant = app ? Object.values(state.windows).filter((window) => window.app === app) : here
  const order = readingOrder(meant.map((window) => shownFrame(state, window)))
  return order.flatMap((at) => meant[at] ?? [])
}

function layOut(state: State, windows: Window[], area: Size): Record<string, Place> {
  const sizes = windows.map((window) => shownFrame(state, window))
  const { places, scale } = unstack(sizes, area)
  return Object.fromEntries(
    windows.map(({ id }, at) => {
      const { width, height } = sizes[at] ?? NOWHERE
      const { x, y } = places[at] ?? NOWHERE
      return [id, { x, y, width, height, scale }]
    }),
  )
}

function Picked({
  window,
  name,
  state,
  hint,
  chosen,
  withDesktop,
  marked,
  rect: { x, y, width, height },
  onPick,
}: {
  window: Window
  name: string
  state: State
  hint: string
  chosen: boolean
  withDesktop: boolean
  marked: boolean
  rect: { x: number; y: number; width: number; height: number }
  onPick(): void
}) {
  const shelf = useShelf()
  const lives = state.desktops[window.desktop]
  const Glyph = appOf(shelf, window.app)?.glyph
  return (
    <button
      type="button"
      tabIndex={-1}
      data-hint={hint}
      data-standing={window.id}
      aria-pressed={marked}
      aria-current={chosen ? 'true' : undefined}
      aria-label={`${name}, ${hint}${lives ? `, on ${lives.name}` : ''}${window.minimised ? ', minimised' : ''}`}
      className={`absolute flex flex-col items-stretch justify-end text-left ${
        chosen ? 'outline-2 outline-ink outline-dashed outline-offset-4' : ''
      }`}
      style={{ left: x, top: y, width, height: height + UNSTACK_GAP }}
      {...useHeldLook(window.id)}
      onClick={(event) => {
        if (clickedToMark(shelf, window.id, event)) return
        ignoreSecondClick(event)
        onPick()
      }}
      onContextMenu={(event) => shelf.openMenu(event, { window: window.id })}
    >
      {marked ? (
        <span className="absolute top-1 right-1">
          <Kite hue="slate" filled width={20} />
        </span>
      ) : null}
      {window.minimised ? (
        <span aria-hidden className="hollow" style={{ height: height + 1 }} />
      ) : null}
      <span className="flex h-6 min-w-0 items-center gap-2">
        <span className="grid h-5 min-w-5 shrink-0 place-items-center border border-ink bg-panel px-1 font-bold font-mono text-[13px]">
          {hint}
        </span>
        {withDesktop && lives ? (
          <Kite hue={lives.hue} letter={lives.letter} width={16} />
        ) : Glyph && width > NARROW ? (
          <Glyph size={14} aria-hidden className="shrink-0" />
        ) : null}
        <span dir="auto" className="truncate bg-ground/80 px-1" title={name}>
          {name}
        </span>
      </span>
    </button>
  )
}
