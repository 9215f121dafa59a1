import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { hear } from '@/core/keys/bindings'
import { keysIn } from '@/core/keys/places'
import { standsOn } from '@/core/model/displays'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import { desktop, shownFrame, stack, summary, title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Backdrop } from '@/parts/Backdrop'
import { Hint } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { useArea } from '@/ui/area/area'
import { layout } from '@/ui/keys/layout'
import { plainStrokes } from '@/ui/keys/stroke'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'

/** Room around the frame, and above it for the name. */
const INSET = 36
const ABOVE = 40

/** Another desktop in an inset frame, to be looked at: nothing in it reacts. */
export function Glance() {
  const id = usePage(({ view }) => (view?.view === 'glance' ? view.desktop : null))
  return id ? <Frame id={id} /> : null
}

function Frame({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const { name, hue, letter } = desktop(state, id)
  const area = useArea()
  const on = displayOf(state, id)
  const place = useRef<HTMLDivElement>(null)
  const { width, height } = state.displays[on] ?? area
  const scale = Math.min((area.width - 2 * INSET) / width, (area.height - ABOVE - INSET) / height)
  const left = (area.width - width * scale) / 2
  const seen = useMemo(
    () => stack(state, id).filter((window) => !window.minimised && standsOn(state, window) === on),
    [state, id, on],
  )
  const [raised, setRaised] = useState<WindowId | null>(null)
  const raise = ({ by }: { by: number }) => {
    const at = Math.max(
      0,
      seen.findIndex((window) => window.id === raised),
    )
    const next = seen[(at + by + seen.length) % seen.length]
    if (!next) return
    setRaised(next.id)
    shelf.page.setState({ announced: title(state, next) })
  }
  useLayoutEffect(() => {
    const places = seen.map((window, at) => {
      const { x, y, ...size } = shownFrame(state, window)
      const corner = { x: left + x * scale, y: ABOVE + y * scale }
      return [
        window.id,
        { ...corner, ...size, scale, z: window.id === raised ? RAISED : 2 + seen.length - at },
      ] as const
    })
    shelf.page.setState({ places: Object.fromEntries(places) })
  }, [state, seen, raised, scale, left, shelf])
  useLayoutEffect(() => {
    place.current?.focus()
    return () => shelf.page.setState({ places: null })
  }, [shelf])
  useGlanceKeys(id, raised, raise)
  return (
    <>
      <Backdrop
        of={id}
        className="absolute border-2 border-ink"
        style={{ left, top: ABOVE, width: width * scale, height: height * scale, zIndex: 1 }}
      />
      {/* Above the windows: what is pushed leaves, whatever stands there. */}
      <div
        ref={place}
        role="dialog"
        aria-label="Glance"
        aria-description={summary(state, id)}
        tabIndex={-1}
        className="absolute inset-0 z-(--over) outline-none"
        onPointerDown={(event) => {
          event.preventDefault()
          shelf.closeView()
        }}
      >
        <p className="flex h-10 items-center gap-2.5 px-9">
          <Kite hue={hue} letter={letter} width={22} />
          <b className="font-bold font-display text-[16px]">{name}</b>
          <span className="ml-auto flex items-center gap-2 bg-ground/80 px-2 text-soft">
            {seen.length > 1 ? (
              <Hint keys={keysIn(state, 'glance', 'glance:raise', { by: 1 })}>next window</Hint>
            ) : null}
            <Hint keys={keysIn(state, 'glance', 'glance:stay')}>stay there</Hint>
            <Hint keys={keysIn(state, 'glance', 'glance:leave')}>
              {['leader', 'layer'].includes(state.settings.keys) ? 'back' : 'or let Alt go: back'}
            </Hint>
          </span>
        </p>
      </div>
    </>
  )
}

/** Above all windows of the desktop. */
const RAISED = 1_000_000

/** The display a desktop is looked at as: the one most of its windows are on. */
function displayOf(state: State, id: DesktopId): DisplayId {
  const counts = new Map<DisplayId, number>()
  for (const window of stack(state, id)) {
    const on = standsOn(state, window)
    counts.set(on, (counts.get(on) ?? 0) + 1)
  }
  const [most] = [...counts].toSorted(([, a], [, b]) => b - a)
  return most?.[0] ?? state.display
}

/** What comes before the place one looks into. */
const LOOK = 'Alt+['

/** Enter stays, letting Alt go or Escape returns, another place looks there; all else is dropped. */
function useGlanceKeys(
  id: DesktopId,
  raised: WindowId | null,
  raise: (by: { by: number }) => void,
): void {
  const shelf = useShelf()
  const before = useRef(LOOK)
  const heard = usePlaceKeys(
    'glance',
    {
      'glance:leave': shelf.closeView,
      'glance:raise': raise,
      'glance:stay': () => {
        // Who stays there does not return to the loft it was looked at from.
        shelf.page.setState({ view: null, loftBehind: false })
        if (raised) shelf.dispatch('window.focus', { window: raised }, 'key')
        else shelf.dispatch('desktop.go', { to: id }, 'key')
      },
    },
    () => ({ desktop: id }),
  )
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      event.preventDefault()
      event.stopPropagation()
      if (heard(event)) return
      const state = shelf.state()
      const after = before.current
      before.current = LOOK
      for (const stroke of plainStrokes(event, layout(shelf))) {
        const found = hear(state, after, stroke)
        if (found.kind === 'prefix') before.current = found.keys
        else if (found.kind === 'command')
          shelf.dispatchAny(found.bound.command, found.bound.args, 'key')
        else continue
        break
      }
    }
    const up = (event: KeyboardEvent) => {
      if (event.key === 'Alt') shelf.closeView()
    }
    addEventListener('keydown', down, { capture: true })
    addEventListener('keyup', up)
    addEventListener('blur', shelf.closeView)
    return () => {
      removeEventListener('keydown', down, { capture: true })
      removeEventListener('keyup', up)
      removeEventListener('blur', shelf.closeView)
    }
  })
}
