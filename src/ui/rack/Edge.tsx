import { type KeyboardEvent, type PointerEvent, type RefObject, useRef } from 'react'
import { SETTINGS } from '@/core/settings/table'
import { useArrangement, useShelf } from '@/store/useShelf'
import { held } from '@/ui/hand/inHand'

const { least, most, default: usual } = SETTINGS.rack

/** By how much a key makes the rack wider, in CSS pixels. */
const STEP = 8

const within = (width: number): number => Math.round(Math.min(most, Math.max(least, width)))

/** Shows the rack so wide; nothing else is told while it is dragged. */
export function showRack(width: number): void {
  const { style } = document.documentElement
  if (width === usual) style.removeProperty('--rack-wide')
  else style.setProperty('--rack-wide', `${width}px`)
}

/** The edge of the rack, by which it is made wider; a double click fits the names. */
export function Edge({ rack }: { rack: RefObject<HTMLElement | null> }) {
  const shelf = useShelf()
  const kept = useArrangement((state) => state.settings.rack)
  const right = useArrangement((state) => state.settings.rackSide === 'right')
  /** What makes it wider by so much to the right. */
  const wider = (by: number) => (right ? -by : by)
  const drag = useRef<{ from: number; width: number } | null>(null)
  const set = (width: number) => {
    const to = within(width)
    if (to === kept) showRack(kept)
    else shelf.dispatch('settings.set', { rack: to })
  }
  const fitNames = () => rack.current && set(kept + lackOf(rack.current))
  const onKeyDown = (event: KeyboardEvent) => {
    const to = {
      ArrowLeft: kept + wider(-STEP),
      ArrowRight: kept + wider(STEP),
      Home: least,
      End: most,
    }[event.key]
    if (to === undefined && event.key !== 'Enter') return
    event.preventDefault()
    event.stopPropagation()
    if (to === undefined) fitNames()
    else set(to)
  }
  const follow = ({ clientX, buttons }: PointerEvent) => {
    if (!drag.current || !(buttons & 1)) return
    drag.current.width = within(kept + wider(clientX - drag.current.from))
    showRack(drag.current.width)
  }
  const end = (keep: boolean) => {
    const dragged = drag.current
    drag.current = null
    if (dragged) set(keep ? dragged.width : kept)
  }
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label="Width of the rack"
      aria-orientation="vertical"
      aria-valuenow={kept}
      aria-valuemin={least}
      aria-valuemax={most}
      title="Drag to make the rack wider; double-click to fit the names"
      className="rack-edge"
      onKeyDown={onKeyDown}
      // Nothing is chosen of the text beside it.
      onMouseDown={(event) => event.preventDefault()}
      onDoubleClick={fitNames}
      onPointerDown={(event) => {
        if (event.button !== 0) return
        event.stopPropagation()
        event.currentTarget.setPointerCapture(event.pointerId)
        drag.current = { from: event.clientX, width: kept }
        held(() => end(false))
      }}
      onPointerMove={follow}
      onPointerUp={() => end(true)}
      onPointerCancel={() => end(false)}
    />
  )
}

/** How much wider the rack has to be for its longest name, in CSS pixels; below 0 it has room to spare. */
function lackOf(rack: HTMLElement): number {
  const lacks = [...rack.querySelectorAll<HTMLElement>('[data-row-name]')].flatMap((name) => {
    // Of a desktop that stands as a mark there is no name to fit.
    if (name.clientWidth <= 1) return []
    const text = document.createRange()
    text.selectNodeContents(name)
    const lack = Math.ceil(text.getBoundingClientRect().width) - name.clientWidth
    const row = name.closest('[data-desktop-row]')
    const columns = row ? Math.round(rack.clientWidth / row.clientWidth) : 1
    return lack * columns
  })
  return lacks.length ? Math.max(...lacks) : 0
}
