import { useDrag } from '@use-gesture/react'
import { type KeyboardEvent, useState } from 'react'
import { ARROWS } from '@/core/geometry/direction'
import { snapped } from '@/core/geometry/displays'
import type { Point, Rect, Size } from '@/core/geometry/rect'
import { connected } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import type { Display } from '@/core/model/kinds/display'
import { useArrangement, useList, useShelf } from '@/store/useShelf'
import { useShows } from './useShows'

/** The room displays are drawn in, in CSS pixels. */
const ROOM: Size = { width: 480, height: 300 }
/** Left free around them, to drag into. */
const MARGIN = 24

/** The displays that are plugged in, drawn to scale where they stand. */
export function Arrangement({
  chosen,
  onChoose,
}: {
  chosen: DisplayId
  onChoose(id: DisplayId): void
}) {
  const displays = useList(connected)
  const { scale, x, y } = framed(displays)
  return (
    <div
      role="group"
      aria-label="Displays in their arrangement"
      className="relative overflow-hidden border border-seam bg-ground"
      style={{ height: ROOM.height }}
    >
      {displays.map((display) => (
        <Standing
          key={display.id}
          display={display}
          scale={scale}
          origin={{ x, y }}
          chosen={display.id === chosen}
          onChoose={() => onChoose(display.id)}
        />
      ))}
    </div>
  )
}

/** The scale at which all have room, and where the arrangement's own origin is then. */
function framed(displays: readonly Rect[]): { scale: number; x: number; y: number } {
  const left = Math.min(...displays.map(({ x }) => x))
  const top = Math.min(...displays.map(({ y }) => y))
  const width = Math.max(...displays.map((one) => one.x + one.width)) - left
  const height = Math.max(...displays.map((one) => one.y + one.height)) - top
  const scale = Math.min((ROOM.width - 2 * MARGIN) / width, (ROOM.height - 2 * MARGIN) / height)
  return {
    scale,
    x: (ROOM.width - width * scale) / 2 - left * scale,
    y: (ROOM.height - height * scale) / 2 - top * scale,
  }
}

function Standing({
  display,
  scale,
  origin,
  chosen,
  onChoose,
}: {
  display: Display
  scale: number
  origin: Point
  chosen: boolean
  onChoose(): void
}) {
  const shelf = useShelf()
  const { id, name, width, height } = display
  const shows = useShows(id)
  const main = useArrangement((state) => state.displayOrder[0] === id)
  const has = useArrangement((state) => state.display === id)
  const hue = useArrangement((state) => state.desktops[state.presence[id]?.shows ?? '']?.hue)
  /** Where it would come to, while it is dragged. */
  const [to, setTo] = useState<Point | null>(null)
  const drag = useDrag(
    ({ first, last, movement: [mx, my], canceled }) => {
      if (first) onChoose()
      const others = connected(shelf.state()).filter((other) => other.id !== id)
      const wanted = {
        x: Math.round(display.x + mx / scale),
        y: Math.round(display.y + my / scale),
      }
      const at = others.length > 0 ? snapped(display, wanted, others) : display
      if (!last) return setTo(at)
      setTo(null)
      if (!canceled && (at.x !== display.x || at.y !== display.y))
        shelf.dispatch('display.move', { display: id, x: at.x, y: at.y })
    },
    { threshold: 3, pointer: { keys: false } },
  )
  const keys = (event: KeyboardEvent) => {
    const direction = ARROWS[event.key]
    if (!direction) return
    event.preventDefault()
    shelf.dispatch('display.nudge', { display: id, to: direction }, 'key')
  }
  const { x, y } = to ?? display
  return (
    <button
      type="button"
      aria-pressed={chosen}
      aria-label={`${name}, ${width} by ${height}, shows ${shows}${main ? ', the main display' : ''}${has ? ', has the keys' : ''}`}
      className={`hue-${hue ?? 'slate'} absolute flex touch-none flex-col items-start gap-0.5 overflow-hidden border-t-4 border-t-hue p-1.5 text-left ${
        chosen
          ? 'z-10 bg-panel outline-2 outline-ink outline-dashed -outline-offset-1'
          : 'bg-panel/70 outline-1 outline-edge -outline-offset-1'
      }`}
      style={{
        left: origin.x + x * scale,
        top: origin.y + y * scale,
        width: width * scale,
        height: height * scale,
      }}
      onClick={onChoose}
      onKeyDown={keys}
      {...drag()}
    >
      <b className="max-w-full truncate font-display">{name}</b>
      <span className="max-w-full truncate font-mono text-[11px] text-soft">
        {width} × {height}
      </span>
      <span className="max-w-full truncate text-[11px]">{shows}</span>
      {main ? <span className="mt-auto text-[11px] text-soft">main</span> : null}
    </button>
  )
}
