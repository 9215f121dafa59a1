import { type KeyboardEvent, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { appOf } from '@/apps/list'
import { CAPTION, LABEL, type Shelves, standOnShelves } from '@/core/geometry/shelves'
import { currentId, desktop, shownFrame, title, window as windowOf } from '@/core/model/selectors'
import type { DesktopId, State, WindowId } from '@/core/model/types'
import { closeLoft, dispatch, getState, shelf, useArrangement, useShelf } from '@/store/shelf'
import { Kite } from '@/ui/parts/Kite'
import { NameField } from '@/ui/rack/NameField'
import { focusContent } from '@/ui/window/focus'
import { Bench } from './Bench'

/** What is walked to: a row by its name, or a window on it. */
export interface Choice {
  row: DesktopId
  window: WindowId | null
}

/**
 * The whole of it at once: every desktop a shelf, every window standing on it. The windows are
 * those of the stage, drawn small; this lays them out and takes the keys.
 */
export function Loft() {
  const state = useArrangement((now) => now)
  const view = useShelf((now) => now.view)
  const [filter, setFilter] = useState<string | null>(null)
  const [choice, setChoice] = useState<Choice>(() => ({
    row: currentId(state),
    window: state.focus,
  }))
  const [marked, setMarked] = useState<ReadonlySet<WindowId>>(new Set())
  const width = useWidth()
  const rows = useMemo(() => rowsOf(state, filter ?? ''), [state, filter])
  const shelves = useMemo(() => standOnShelves(rows, width), [rows, width])
  const place = useRef<HTMLDivElement>(null)
  const valid = useMemo(() => settle(choice, rows), [choice, rows])
  useLayoutEffect(() => shelf.setState({ places: moved(shelves.places) }), [shelves])
  useEffect(() => {
    const { documents, windows, desktops } = getState()
    const name = documents[windows[valid.window ?? '']?.document ?? '']?.title
    const on = desktops[valid.row]?.name ?? ''
    shelf.setState({
      chosen: valid.window,
      chosenDesktop: valid.row,
      announced: name ? `${name}, on ${on}` : on,
    })
  }, [valid])
  useEffect(() => {
    place.current?.focus()
    return () => {
      shelf.setState({ places: null, chosen: null, chosenDesktop: null })
      focusContent()
    }
  }, [])
  useEffect(() => {
    place.current
      ?.querySelector(`[data-choice="${CSS.escape(valid.window ?? valid.row)}"]`)
      ?.scrollIntoView({ block: 'nearest' })
  }, [valid])
  useEffect(() => {
    if (view === null && filter === null) place.current?.focus()
  }, [view, filter])
  const chosenWindows = (): WindowId[] =>
    marked.size ? [...marked].filter((id) => state.windows[id]) : valid.window ? [valid.window] : []
  const send = (to: string) => {
    const windows = chosenWindows()
    if (windows.length && dispatch('window.sendAll', { windows, to }, 'key').ok)
      setMarked(new Set())
  }
  const go = (to: Choice) => {
    closeLoft()
    if (to.window) dispatch('window.focus', { window: to.window }, 'key')
    else if (to.row !== currentId(state)) dispatch('desktop.go', { to: to.row }, 'key')
  }
  const mark = (id: WindowId | null) => {
    if (!id) return
    const next = new Set(marked)
    if (!next.delete(id)) next.add(id)
    setMarked(next)
  }
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey || event.target !== place.current) return
    const { key } = event
    const letter = /^[a-z]$/i.test(key) ? key.toUpperCase() : null
    const row = valid.row
    const does: Record<string, () => void> = {
      Escape: closeLoft,
      Enter: () => go(valid),
      ' ': () => mark(valid.window),
      ArrowLeft: () => setChoice(aside(valid, rows, -1)),
      ArrowRight: () => setChoice(aside(valid, rows, 1)),
      ArrowUp: () => setChoice(updown(valid, rows, shelves, -1)),
      ArrowDown: () => setChoice(updown(valid, rows, shelves, 1)),
      '=': () => dispatch('desktop.create', { stay: true }, 'key'),
      '[': () => dispatch('desktop.reorder', { desktop: row, by: -1 }, 'key'),
      ']': () => dispatch('desktop.reorder', { desktop: row, by: 1 }, 'key'),
      Delete: () => valid.window && dispatch('window.close', { window: valid.window }, 'key'),
      '/': () => setFilter(''),
      ';': () => shelf.setState({ pending: 'Alt+Shift+;' }),
    }
    if (letter && event.shiftKey) setChoice(toLetter(letter, state, valid))
    else if (letter) send(letter)
    else if (does[key]) does[key]()
    else return
    event.preventDefault()
  }
  const count = Object.keys(state.windows).length
  return (
    <div
      id="loft"
      ref={place}
      role="dialog"
      aria-label="Loft"
      tabIndex={0}
      className="relative min-h-full px-4 pb-6 outline-none"
      onKeyDown={keys}
    >
      <header className="sticky top-0 z-20 -mx-4 flex h-11 items-center gap-4 bg-ground px-4">
        <h2 className="font-bold font-display text-[17px]">Loft</h2>
        {filter === null ? (
          <button
            type="button"
            className="flex items-center gap-2 text-soft"
            onClick={() => setFilter('')}
          >
            <span className="key">/</span> filter
          </button>
        ) : (
          <input
            // biome-ignore lint/a11y/noAutofocus: it was just asked for
            autoFocus
            aria-label="Filter"
            className="field w-52"
            value={filter}
            onChange={(event) => setFilter(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setFilter(null)
              if (event.key === 'Enter' || event.key === 'ArrowDown') place.current?.focus()
              else if (event.key !== 'Escape') return
              event.preventDefault()
              event.stopPropagation()
            }}
          />
        )}
        <span role="status" className="text-soft">
          {state.order.length} desktops · {count} windows
          {marked.size ? ` · ${marked.size} marked: a letter sends them` : ''}
        </span>
      </header>
      <ol aria-label="Shelves">
        {shelves.rows.map(({ id, height }, at) => (
          <ShelfRow
            key={id}
            id={id}
            height={height}
            windows={rows[at]?.windows.map((window) => window.id) ?? []}
            top={shelves.rows[at]?.top ?? 0}
            places={shelves}
            chosen={valid}
            marked={marked}
            naming={view?.view === 'rename' && view.desktop === id}
            onGo={go}
            onDrop={(windows) => dispatch('window.sendAll', { windows, to: id })}
          />
        ))}
      </ol>
      <Bench choice={valid} marked={marked.size} />
    </div>
  )
}

/** Where the shelves begin: beside the edge, below the header. */
const ASIDE = 16
const BELOW = 44

const moved = (places: Shelves['places']): Shelves['places'] =>
  Object.fromEntries(
    Object.entries(places).map(([id, place]) => [
      id,
      { ...place, x: place.x + ASIDE, y: place.y + BELOW },
    ]),
  )

type Rows = { id: DesktopId; windows: { id: WindowId; width: number; height: number }[] }[]

/** The windows of each desktop that match; a first row for those on every desktop, if any. */
function rowsOf(state: State, filter: string): Rows {
  const wanted = filter.trim().toLowerCase()
  const matches = (id: WindowId) => {
    const window = windowOf(state, id)
    const app = appOf(window.app)?.name ?? ''
    return !wanted || `${title(state, window)} ${app}`.toLowerCase().includes(wanted)
  }
  const sized = (ids: WindowId[]) =>
    ids.filter(matches).map((id) => {
      const { width, height } = shownFrame(state, windowOf(state, id))
      return { id, width, height }
    })
  return state.order.map((id) => ({ id, windows: sized(desktop(state, id).windows) }))
}

/** The choice, or what stands nearest when it is gone. */
function settle(choice: Choice, rows: Rows): Choice {
  const row = rows.find(({ id }) => id === choice.row) ?? rows[0]
  if (!row) return choice
  const known = row.windows.some(({ id }) => id === choice.window)
  const elsewhere = rows.find(({ windows }) => windows.some(({ id }) => id === choice.window))
  if (known || choice.window === null) return { row: row.id, window: choice.window }
  if (elsewhere && !rows.some(({ id }) => id === choice.row))
    return { row: elsewhere.id, window: choice.window }
  return { row: row.id, window: row.windows.at(-1)?.id ?? null }
}

/** A step to the left or right: first the row's name, then its windows. */
function aside({ row, window }: Choice, rows: Rows, by: number): Choice {
  const windows = rows.find(({ id }) => id === row)?.windows ?? []
  const at = windows.findIndex(({ id }) => id === window) + by
  return { row, window: windows[Math.max(-1, Math.min(at, windows.length - 1))]?.id ?? null }
}

/** A step to the row above or below, to the window nearest across. */
function updown({ row, window }: Choice, rows: Rows, { places }: Shelves, by: number): Choice {
  const at = rows.findIndex(({ id }) => id === row) + by
  const next = rows[at]
  if (!next) return { row, window }
  const x = window ? (places[window]?.x ?? LABEL) : LABEL
  const off = (id: WindowId) => Math.abs((places[id]?.x ?? 0) - x)
  const nearest = next.windows.reduce<WindowId | null>(
    (best, { id }) => (best === null || off(id) < off(best) ? id : best),
    null,
  )
  return { row: next.id, window: nearest }
}

function toLetter(letter: string, state: State, choice: Choice): Choice {
  const found = Object.values(state.desktops).find((one) => one.letter === letter)
  return found ? { row: found.id, window: found.windows[0] ?? null } : choice
}

/** The width the shelves have, followed while the browser's changes. */
function useWidth(): number {
  const [width, setWidth] = useState(() => Math.max(400, innerWidth - 352))
  useLayoutEffect(() => {
    const changed = () =>
      setWidth((document.getElementById('windows')?.clientWidth ?? 960) - 2 * ASIDE)
    changed()
    addEventListener('resize', changed)
    return () => removeEventListener('resize', changed)
  }, [])
  return width
}

let dragged: WindowId[] = []

function ShelfRow({
  id,
  top,
  height,
  windows,
  places,
  chosen,
  marked,
  naming,
  onGo,
  onDrop,
}: {
  id: DesktopId
  top: number
  height: number
  windows: WindowId[]
  places: Shelves
  chosen: Choice
  marked: ReadonlySet<WindowId>
  naming: boolean
  onGo(choice: Choice): void
  onDrop(windows: WindowId[]): void
}) {
  const { name, letter, hue, windows: all } = useArrangement((state) => desktop(state, id))
  const here = useArrangement((state) => currentId(state) === id)
  const [over, setOver] = useState(false)
  const rowChosen = chosen.row === id
  return (
    <li
      data-shelf={id}
      className={`hue-${hue} relative border-hue border-b-[3px] ${
        over ? 'bg-hue/20' : rowChosen ? 'bg-hue/8' : ''
      }`}
      style={{ height }}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        setOver(false)
        if (dragged.length) onDrop(dragged)
        dragged = []
      }}
    >
      <div
        id={`choice-${id}`}
        data-choice={id}
        className={`absolute top-2 left-1 flex w-[176px] gap-2.5 p-1.5 ${
          rowChosen && !chosen.window ? 'outline-2 outline-ink outline-dashed' : ''
        }`}
      >
        <Kite hue={hue} letter={letter} filled={here} width={30} />
        <div className="min-w-0 flex-1">
          {naming ? (
            <NameField id={id} name={name} />
          ) : (
            <button
              type="button"
              tabIndex={-1}
              className="block w-full truncate text-left font-display font-semibold text-[15px]"
              onClick={() => onGo({ row: id, window: null })}
            >
              {name}
            </button>
          )}
          <span className="text-soft">
            {all.length === 1 ? '1 window' : `${all.length} windows`}
          </span>
        </div>
      </div>
      {windows.map((window) => {
        const place = places.places[window]
        return place ? (
          <Standing
            key={window}
            id={window}
            left={place.x}
            top={place.y - top - CAPTION}
            width={Math.max(84, place.width * place.scale)}
            height={place.height * place.scale}
            chosen={chosen.window === window}
            marked={marked.has(window)}
            onGo={() => onGo({ row: id, window })}
            onDrag={() => {
              dragged = marked.has(window) ? [...marked] : [window]
            }}
          />
        ) : null
      })}
    </li>
  )
}

/** The caption of a miniature, and what is pushed and dragged in its place. */
function Standing({
  id,
  left,
  top,
  width,
  height,
  chosen,
  marked,
  onGo,
  onDrag,
}: {
  id: WindowId
  left: number
  top: number
  width: number
  height: number
  chosen: boolean
  marked: boolean
  onGo(): void
  onDrag(): void
}) {
  const name = useArrangement((state) => title(state, windowOf(state, id)))
  const app = useArrangement((state) => windowOf(state, id).app)
  const minimised = useArrangement((state) => windowOf(state, id).minimised)
  const Glyph = appOf(app)?.glyph
  return (
    <button
      id={`choice-${id}`}
      type="button"
      tabIndex={-1}
      draggable
      data-choice={id}
      data-standing={id}
      aria-pressed={marked}
      aria-label={[name, minimised && 'minimised', marked && 'marked'].filter(Boolean).join(', ')}
      title={name}
      className={`absolute z-10 flex flex-col items-stretch justify-start text-left ${
        chosen ? 'outline-2 outline-ink outline-dashed outline-offset-2' : ''
      }`}
      style={{ left, top, width, height: height + CAPTION }}
      onClick={onGo}
      onDragStart={onDrag}
    >
      <span
        className={`flex h-[22px] items-center gap-1.5 text-[12px] ${minimised ? 'text-soft' : ''}`}
      >
        {Glyph ? <Glyph size={13} aria-hidden className="shrink-0" /> : null}
        <span className="truncate">{name}</span>
      </span>
      {marked ? (
        <span className="absolute top-5 right-0">
          <Kite hue="slate" filled width={16} />
        </span>
      ) : null}
    </button>
  )
}
