import { type KeyboardEvent, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import type { Size } from '@/core/geometry/rect'
import { type Shelves, standOnShelves } from '@/core/geometry/shelves'
import { timeOn } from '@/core/journal/time'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { currentId, focusedWindow, focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { LINE, titleBar } from '@/parts/room'
import { useLooked } from '@/store/documents/texts'
import { useToday } from '@/store/journal'
import type { Shelf } from '@/store/shelf'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { drawBand } from '@/ui/hand/marking'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { Bench } from './Bench'
import { BenchActs } from './BenchActs'
import { useLoftDrag } from './dragging'
import { LoftHead } from './LoftHead'
import { Marks } from './Marks'
import { type LoftRow, loftRows } from './rows'
import { ShelfRow } from './ShelfRow'
import { useActs } from './useActs'
import { useBench } from './useBench'
import { useSending } from './useSending'
import { type Choice, settle } from './walking'

/**
 * The whole of it at once: every desktop a shelf, every window standing on it. The windows are
 * those of the desktop, drawn small; this lays them out and takes the keys.
 */
export function Loft() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const view = usePage((now) => now.view)
  const by = usePage((now) => now.loftBy)
  const kept = usePage((now) => now.marked)
  const [filter, setFilter] = useState<string | null>(null)
  const [choice, setChoice] = useState<Choice>(() => firstChoice(shelf))
  const [dragging, setDragging] = useState(false)
  const drag = useLoftDrag(setDragging)
  const { width: bench, toggle } = useBench()
  const room = useRoom(bench)
  const documents = useMemo(() => documentsOf(state), [state])
  const looked = useLooked(filter === null ? null : documents, filter ?? '')
  // What is found in texts is a moment behind: until it is there, what was found before stays.
  const sought = filter === null ? '' : (looked?.typed ?? filter)
  const rows = useMemo(
    () => loftRows(shelf, state, by, sought, looked?.hits),
    [state, by, sought, looked, shelf],
  )
  const size = state.settings.loft
  const shelves = useMemo(() => standOnShelves(rows, room, size), [rows, room, size])
  const spent = timeOn(useToday(), new Date(shelf.clock()).setHours(0, 0, 0, 0), shelf.clock())
  const { seen, whole } = useSeen(shelves, choice.row)
  const valid = useMemo(() => settle(choice, rows), [choice, rows])
  const marked = kept.filter((id) => state.windows[id])
  const place = useRef<HTMLDivElement>(null)
  useLayoutEffect(
    () => shelf.page.setState({ places: placesOf(rows, shelves, seen) }),
    [rows, shelves, seen, shelf.page.setState],
  )
  useLayoutEffect(() => () => shelf.page.setState({ places: null }), [shelf.page.setState])
  useTold(valid)
  const walked = useRef(false)
  useEffect(() => {
    // It opens with the row one is on in the middle, so that what is around it is seen.
    choiceElement(valid)?.scrollIntoView({ block: walked.current ? 'nearest' : 'center' })
    walked.current = true
  }, [valid])
  useEffect(() => {
    if (view === null && filter === null) place.current?.focus()
  }, [view, filter])
  const is = rows.find(({ id }) => id === valid.row)?.is
  const row = is === 'desktop' ? valid.row : null
  const one = valid.window ?? null
  const some: WindowId[] = marked.length ? marked : one ? [one] : []
  const { send, hear } = useSending(some, setFilter)
  const { acts, go } = useActs({ rows, shelves, valid, setChoice, filter, setFilter, send, toggle })
  const said = usePlaceKeys('loft', acts, () => ({ window: one, windows: marked, desktop: row }))
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    // The bench is scrolled by its own keys when it was gone to by Tab; Escape leaves everywhere.
    if (event.target === place.current || event.key === 'Escape') hear(event, said)
  }
  return (
    <div
      id="loft"
      ref={place}
      role="dialog"
      aria-label="Loft"
      tabIndex={0}
      className="pointer-events-auto relative min-h-full px-4 pb-2 outline-none"
      onKeyDown={keys}
      onPointerDown={(event) => drawBand(shelf, event, shelf.closeLoft)}
      // What is pushed and dragged does not take the keys from the shelves.
      onMouseDown={(event) => {
        if (event.target instanceof HTMLInputElement) return
        event.preventDefault()
        place.current?.focus()
      }}
      onContextMenu={(event) => {
        // The menu key is about what is chosen.
        const at =
          event.target === place.current ? choiceElement(valid)?.getBoundingClientRect() : undefined
        const about = one ? { window: one } : row && { desktop: row }
        if (!at || !about) return
        const point = { clientX: at.left + 20, clientY: at.bottom }
        shelf.openMenu({ ...point, preventDefault: () => event.preventDefault() }, about)
      }}
    >
      <LoftHead
        filter={filter}
        onFilter={setFilter}
        onShelves={() => place.current?.focus()}
        by={by}
        marked={marked.length}
        acts={acts}
        fits={size === 0}
        bench={bench > 0}
      />
      <ol aria-label="Shelves" className="relative" style={{ height: shelves.height }} {...drag()}>
        {rows.map((one, at) => {
          const shelf = shelves.rows[at]
          if (!shelf) return null
          return (
            <ShelfRow
              key={one.id}
              row={one}
              seen={seen.has(one.id) || valid.row === one.id}
              left={shelf.left}
              top={shelf.top}
              width={shelf.width}
              height={shelf.height}
              places={shelves.places}
              spent={Math.floor((spent[one.id] ?? 0) / 60_000)}
              chosen={valid.row === one.id ? valid : null}
              onGo={go}
            />
          )
        })}
      </ol>
      {dragging ? <Marks /> : null}
      {bench > 0 ? (
        <Bench width={bench} choice={valid} row={rows.find(({ id }) => id === valid.row)}>
          {whole ? (
            <BenchActs
              window={one}
              desktop={row}
              marked={marked}
              by={by}
              stowed={is === 'stowed' ? valid.row : null}
              acts={acts}
            />
          ) : null}
        </Bench>
      ) : null}
    </div>
  )
}

/** The documents of all windows, what is stowed among them. */
const documentsOf = ({ windows, stowed }: State): DocumentId[] => [
  ...new Set(
    [windows, ...stowed.map((one) => one.windows)].flatMap((some) =>
      Object.values(some).map(({ document }) => document),
    ),
  ),
]

/** The chosen window, or its row while that is out of sight. */
const choiceElement = ({ row, window }: Choice): Element | null => {
  const of = (id: string) => document.querySelector(`#loft [data-choice="${CSS.escape(id)}"]`)
  return (window ? of(window) : null) ?? of(row)
}

/** It opens where one is. */
function firstChoice(shelf: Shelf): Choice {
  const state = shelf.state()
  const focused = focusedWindow(state)
  if (shelf.page.getState().loftBy === 'app' && focused)
    return { row: focused.app, window: focused.id }
  return { row: currentId(state), window: focusId(state) }
}

/** Verbs said while the loft is open are about the choice; it is also told to who cannot see it. */
function useTold(choice: Choice): void {
  const shelf = useShelf()
  useEffect(() => {
    const { documents, windows, desktops, stowed } = shelf.state()
    const window = windows[choice.window ?? '']
    const name = documents[window?.document ?? '']?.title
    const lives = desktops[window?.desktop ?? choice.row]
    const away = stowed.find(({ id }) => id === choice.row)
    shelf.page.setState({
      chosen: choice.window,
      chosenDesktop: lives?.id ?? null,
      announced: away
        ? `${away.desktop.name}, stowed`
        : [name, lives?.name ?? 'every desktop'].filter(Boolean).join(', on '),
    })
  }, [choice, shelf])
  useEffect(
    () => () => shelf.page.setState({ chosen: null, chosenDesktop: null }),
    [shelf.page.setState],
  )
}

/** Where the shelves begin: beside the edge, below the header. */
const ASIDE = 16
const BELOW = 44

/** Where windows are drawn: those of the rows that are seen; the others cost nothing. */
function placesOf(
  rows: LoftRow[],
  { places }: Shelves,
  seen: ReadonlySet<string>,
): Shelves['places'] {
  const drawn: Shelves['places'] = {}
  for (const row of rows)
    for (const { id } of seen.has(row.id) ? row.windows : []) {
      const place = places[id]
      if (place) drawn[id] = { ...place, x: place.x + ASIDE, y: place.y + BELOW }
    }
  return drawn
}

/**
 * The rows that are scrolled into sight: at first the one it opens at, a frame later the whole, and
 * what is read later than the shelves.
 */
function useSeen({ rows }: Shelves, first: string): { seen: ReadonlySet<string>; whole: boolean } {
  const [now, setNow] = useState({ seen: new Set([first]), whole: false })
  useEffect(() => {
    const area = document.getElementById('windows')
    if (!area) return
    const look = () => {
      const from = area.scrollTop - BELOW
      const to = from + area.clientHeight
      const ids = rows.flatMap(({ id, top, height }) =>
        top < to && top + height > from ? [id] : [],
      )
      setNow((before) =>
        before.whole && ids.length === before.seen.size && ids.every((id) => before.seen.has(id))
          ? before
          : { seen: new Set(ids), whole: true },
      )
    }
    const soon = requestAnimationFrame(look)
    area.addEventListener('scroll', look, { passive: true })
    addEventListener('resize', look)
    return () => {
      cancelAnimationFrame(soon)
      area.removeEventListener('scroll', look)
      removeEventListener('resize', look)
    }
  }, [rows])
  return now
}

const SCROLLBAR = 16

/** Below the shelves: the line, and some air. */
const UNDER = LINE + 8

const pageSize = (): Size => ({ width: innerWidth, height: innerHeight - titleBar() })

/** The room the shelves have beside a bench, followed while the browser's changes; worked out, not measured. */
function useRoom(bench: number): Size {
  const [page, setPage] = useState(pageSize)
  useEffect(() => {
    const changed = () => setPage(pageSize())
    addEventListener('resize', changed)
    return () => removeEventListener('resize', changed)
  }, [])
  return useMemo(
    () => ({
      width: page.width - bench - 2 * ASIDE - SCROLLBAR,
      height: page.height - BELOW - UNDER,
    }),
    [bench, page],
  )
}
