import {
  type DragEvent,
  type ReactNode,
  type RefObject,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import type { WindowId } from '@/core/model/ids'
import { DISPLAY_LEAST } from '@/core/model/kinds/display'
import { currentId, desktop, focusId } from '@/core/model/selectors'
import { Backdrop } from '@/parts/Backdrop'
import { isAsking } from '@/parts/focus'
import { Guarded } from '@/parts/Guarded'
import { useArrangement, useDesktop, useList, usePage, useShelf } from '@/store/useShelf'
import { area, columnFor, hasOthers, largeId } from '@/ui/area/area'
import { useSeat } from '@/ui/area/seat'
import { EmptyHelp } from '@/ui/desktop/EmptyHelp'
import { useRest } from '@/ui/desktop/rest'
import { Sign } from '@/ui/desktop/Sign'
import { useTransition } from '@/ui/desktop/transition'
import { useWarming } from '@/ui/desktop/useWarming'
import { Column } from '@/ui/displays/Column'
import { incoming, isTaken, takeIn } from '@/ui/files/takeIn'
import { Glance } from '@/ui/glance/Glance'
import { rowOf } from '@/ui/hand/dropping'
import { Inspector } from '@/ui/inspector/Inspector'
import { useFocus } from '@/ui/keys/useFocus'
import { Loft } from '@/ui/loft/Loft'
import { SmallMap } from '@/ui/map/SmallMap'
import { Pad } from '@/ui/pad/Pad'
import { Divider } from '@/ui/pair/Divider'
import { useRunsHere } from '@/ui/run/useRunning'
import { Guide } from '@/ui/start/Guide'
import { Start } from '@/ui/start/Start'
import { Unstack } from '@/ui/unstack/Unstack'
import { useGroup, useShowing } from '@/ui/window/useShowing'
import { WindowSlot } from '@/ui/window/WindowSlot'
import { Large } from './Large'

/** The focused display: the windows of the current desktop over its backdrop and sign. */
export function Desktop() {
  const shelf = useShelf()
  const showing = useShowing()
  useEffect(() => showing.follow(), [showing])
  useEffect(() => {
    // It goes from one thing to the next, and would go into windows that are laid out.
    const tab = ({ key }: KeyboardEvent) => {
      if (key === 'Tab') showing.stillAll()
    }
    addEventListener('keydown', tab, { capture: true })
    return () => removeEventListener('keydown', tab, { capture: true })
  }, [showing])
  return (
    <FileDrop>
      <Large>
        <Behind />
        <EmptyHelp />
        <Start />
      </Large>
      <AllWindows />
      <Column />
      <Large>
        <Divider />
        <Guarded name="The pad">
          <Pad />
        </Guarded>
      </Large>
      <div className="large">
        <Guarded name="The inspector" onFail={() => shelf.dispatch('shelf.inspector', {}, 'app')}>
          <Inspector />
        </Guarded>
        <Guarded name="Unstack">
          <Unstack />
        </Guarded>
        <Guarded name="Looking into a desktop">
          <Glance />
        </Guarded>
        <SmallMap />
        <Guide />
      </div>
      <Followers />
    </FileDrop>
  )
}

/** What follows the desktop one is on without being drawn. */
function Followers() {
  useFocus()
  useRest()
  useTransition()
  return null
}

/** The area itself; files dropped on it are opened. */
function FileDrop({ children }: { children: ReactNode }) {
  const shelf = useShelf()
  const main = useRef<HTMLElement>(null)
  const [dropping, setDropping] = useState(false)
  useDisplaySize(main)
  const takesFiles = (event: DragEvent) => event.dataTransfer.types.includes('Files')
  usePaste()
  return (
    <main
      id="desktop"
      ref={main}
      tabIndex={-1}
      aria-labelledby={NAME}
      className="relative isolate touch-pan-y overflow-clip outline-none"
      onContextMenu={(event) => {
        // Beside the windows it is about the desktop.
        if (isBare(event.target)) shelf.openMenu(event, { desktop: currentId(shelf.state()) })
      }}
      onDragOver={(event) => {
        const files = takesFiles(event)
        // A text goes into the window it is held over; beside them it becomes one.
        if (!files && !(isBare(event.target) && isTaken(event.dataTransfer))) return
        event.preventDefault()
        if (files) setDropping(true)
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setDropping(false)
      }}
      // Also where a window takes what is dropped for itself.
      onDropCapture={() => setDropping(false)}
      onDrop={(event) => {
        const files = takesFiles(event)
        if (!files && !isBare(event.target)) return
        // The browser itself would go to a file.
        if (takeIn(shelf, incoming(event.dataTransfer)) || files) event.preventDefault()
      }}
    >
      {children}
      {dropping ? <Dropping /> : null}
    </main>
  )
}

const isBare = (target: EventTarget): boolean =>
  target instanceof Element && target.matches('#desktop, .large, .backdrop, .backdrop *')

/** What is pasted where nothing is typed becomes a window: here, or on the row that has the keys. */
function usePaste(): void {
  const shelf = useShelf()
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const { target, clipboardData } = event
      if (event.defaultPrevented || !clipboardData || isAsking(shelf)) return
      const row = rowOf(target)
      const typed =
        target instanceof Element && target.closest('input, textarea, [contenteditable]')
      if (typed || (!row && focusId(shelf.state()))) return
      if (takeIn(shelf, incoming(clipboardData), row)) event.preventDefault()
    }
    document.addEventListener('paste', paste)
    return () => document.removeEventListener('paste', paste)
  }, [shelf])
}

function Dropping() {
  const name = useArrangement((state) => desktop(state, currentId(state)).name)
  return (
    <div className="pointer-events-none absolute inset-2 z-(--over) grid place-items-center border-2 border-ink border-dashed">
      <p className="bg-panel px-4 py-2 font-semibold">Drop to open on {name}</p>
    </div>
  )
}

const NAME = 'desktop-name'

/** Beside the windows, not around them: a new hue is none of their business. */
function Behind() {
  const id = useArrangement(currentId)
  const { name, sign } = useDesktop(id, ['name', 'sign'])
  const arrival = useArrangement((state) => state.settings.arrival)
  return (
    <>
      <Backdrop of={id} className="backdrop-here absolute inset-0">
        {sign ? <Sign id={id} labels={NAME} /> : null}
        {sign ? null : (
          <h1 id={NAME} className="sr-only">
            {name}
          </h1>
        )}
      </Backdrop>
      {sign && arrival > 0 ? <Arrival key={id} time={arrival} /> : null}
    </>
  )
}

/** Every window; and the loft, which lays them out. */
function AllWindows() {
  const shelf = useShelf()
  const ids = useList(({ windows }) => Object.keys(windows), ['windows'])
  const groups = useGroups(ids)
  useWarming(ids)
  const loft = usePage((now) => now.loft)
  return (
    // Always a box: to become one would build all windows anew when the loft opens.
    <div
      id="windows"
      className={
        loft
          ? 'pointer-events-none fixed top-0 right-(--bench) border-transparent border-t-(length:--title) bottom-(--line) left-0 z-30 isolate overflow-auto bg-ground'
          : 'pointer-events-none absolute inset-0'
      }
    >
      {loft ? (
        <Guarded name="The loft" onFail={shelf.closeLoft}>
          <Loft />
        </Guarded>
      ) : null}
      <Veil />
      {groups.map(({ key, members }) => (
        <WindowGroup key={key} group={key} members={members} />
      ))}
    </div>
  )
}

/** Behind a window that is looked at closely. */
function Veil() {
  const looking = usePage(({ closely }) => closely !== null)
  return looking ? <div aria-hidden className="veil" /> : null
}

function WindowGroup({ group, members }: { group: number; members: WindowId[] }) {
  const place = useGroup(group)
  return (
    <div ref={place} className="slots">
      {members.map((id) => (
        <WindowSlot key={id} id={id} group={group} />
      ))}
    </div>
  )
}

/** So many windows stand in one element at most. */
const GROUP = 32

/**
 * Windows in groups, in the order they were opened: those of a desktop are mostly together. One
 * stays where it is, whatever is opened and closed, for to move it would load what it shows anew.
 */
function useGroups(ids: readonly WindowId[]): { key: number; members: WindowId[] }[] {
  const [groupOf] = useState(() => new Map<WindowId, number>())
  return useMemo(() => {
    const there = new Set(ids)
    for (const id of groupOf.keys()) if (!there.has(id)) groupOf.delete(id)
    const groups = new Map<number, WindowId[]>()
    let newest = Math.max(0, ...groupOf.values())
    for (const id of ids) {
      if ((groups.get(newest)?.length ?? 0) >= GROUP) newest++
      const key = groupOf.get(id) ?? newest
      groupOf.set(id, key)
      groups.set(key, [...(groups.get(key) ?? []), id])
    }
    return [...groups].map(([key, members]) => ({ key, members }))
  }, [ids, groupOf])
}

/** The sign of the desktop one has come to, copied above its windows for a moment. */
function Arrival({ time }: { time: number }) {
  const place = useRef<HTMLDivElement>(null)
  useLayoutEffect(() => {
    const copied = document.querySelector('.backdrop-here .sign-place')?.cloneNode(true)
    for (const named of (copied as Element | undefined)?.querySelectorAll('[id]') ?? [])
      named.removeAttribute('id')
    if (copied) place.current?.replaceChildren(copied)
  }, [])
  return (
    <div
      ref={place}
      aria-hidden
      className="sign-arriving"
      style={{ animationDuration: `${time}ms` }}
      // What has faded is still a layer that all above it is laid over.
      onAnimationEnd={({ currentTarget }) => {
        currentTarget.hidden = true
      }}
    />
  )
}

/** Tells the display that is this browser window how large it is. */
function useDisplaySize(main: RefObject<HTMLElement | null>): void {
  const shelf = useShelf()
  const bare = useRunsHere()
  const several = useArrangement(hasOthers) && !bare
  const { display, fixed } = useSeat()
  const own = useArrangement((state) => state.displays[display]?.fitted !== undefined)
  const elsewhere = usePage((page) => page.elsewhere)
  // Another display that is shown large here, and has the size of this room.
  const fitted = useArrangement((state) => {
    const id = largeId(state)
    return fixed || id === display || elsewhere.includes(id) || !state.displays[id]?.fitted
      ? null
      : id
  })
  // biome-ignore lint/correctness/useExhaustiveDependencies: one that fits its room no more has its own size, until it is measured anew.
  useLayoutEffect(() => {
    const element = main.current
    if (!element) return
    const measure = () => {
      const column = columnFor(shelf, several)
      document.documentElement.style.setProperty('--column', `${column}px`)
      const width = Math.max(DISPLAY_LEAST.width, Math.round(element.clientWidth) - column)
      const height = Math.max(DISPLAY_LEAST.height, Math.round(element.clientHeight))
      const room = area(shelf).getState()
      if (room.width !== width || room.height !== height || room.column !== column)
        area(shelf).setState({ width, height, column })
      for (const id of fitted ? [display, fitted] : [display]) {
        const known = shelf.state().displays[id]
        if (known && (known.width !== width || known.height !== height || !known.measured))
          shelf.dispatch('display.resize', { display: id, width, height }, 'app')
      }
    }
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    return () => observer.disconnect()
  }, [main, display, several, shelf, fitted, own])
}
