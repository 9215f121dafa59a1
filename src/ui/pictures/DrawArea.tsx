import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import type { PictureFormat } from '@/core/commands/command'
import { clamp, type Point, type Rect } from '@/core/geometry/rect'
import { useShelf } from '@/store/useShelf'
import { largeId, surfaces } from '@/ui/area/area'

/** By how much a key moves the area or makes it larger, in pixels; with Ctrl by one. */
const STEP = 20

/** No area is smaller, in pixels. */
const LEAST = 8

const ARROWS: Record<string, [x: number, y: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** An area of the focused display to take a picture of: drawn by pointer, or put by the arrows. */
export function DrawArea({ format }: { format: PictureFormat }) {
  const shelf = useShelf()
  const [{ bounds, scale }] = useState(() => {
    const state = shelf.state()
    const main = document.getElementById('desktop')?.getBoundingClientRect()
    const { x = 0, y = 0, scale = 1 } = surfaces(shelf, state)[largeId(state)] ?? {}
    const { width = 0, height = 0 } = state.displays[largeId(state)] ?? {}
    const corner = { x: (main?.left ?? 0) + x, y: (main?.top ?? 0) + y }
    return { scale, bounds: { ...corner, width: width * scale, height: height * scale } }
  })
  const [area, setArea] = useState<Rect>({
    x: bounds.x + bounds.width / 4,
    y: bounds.y + bounds.height / 4,
    width: bounds.width / 2,
    height: bounds.height / 2,
  })
  const ground = useRef<HTMLDivElement>(null)
  const from = useRef<Point>(null)
  useEffect(() => ground.current?.focus(), [])
  const put = (to: Rect) => {
    const within = inside(to, bounds)
    setArea(within)
    return within
  }
  const take = ({ x, y, width, height }: Rect) => {
    shelf.closeView()
    const own = (length: number) => Math.round(length / scale)
    shelf.dispatchAny(`picture.area.${format}`, {
      area: { x: own(x - bounds.x), y: own(y - bounds.y), width: own(width), height: own(height) },
    })
  }
  const drawn = ({ clientX: x, clientY: y }: PointerEvent): Rect | null => {
    if (!from.current) return null
    const [left, top] = [Math.min(x, from.current.x), Math.min(y, from.current.y)]
    const [width, height] = [Math.abs(x - from.current.x), Math.abs(y - from.current.y)]
    return Math.max(width, height) < LEAST ? null : put({ x: left, y: top, width, height })
  }
  const keys = (event: KeyboardEvent) => {
    event.preventDefault()
    event.stopPropagation()
    if (event.key === 'Enter') return take(area)
    if (event.key === 'Escape') return shelf.closeView()
    const [x, y] = (ARROWS[event.key] ?? [0, 0]).map((way) => way * (event.ctrlKey ? 1 : STEP))
    if (event.shiftKey)
      put({ ...area, width: area.width + (x ?? 0), height: area.height + (y ?? 0) })
    else put({ ...area, x: area.x + (x ?? 0), y: area.y + (y ?? 0) })
  }
  return (
    <div
      ref={ground}
      role="dialog"
      aria-label="Draw the area"
      aria-describedby="area-keys"
      tabIndex={-1}
      className="area-ground"
      onKeyDown={keys}
      onPointerDown={({ button, clientX, clientY, currentTarget, pointerId }) => {
        if (button !== 0) return
        currentTarget.setPointerCapture(pointerId)
        from.current = { x: clientX, y: clientY }
      }}
      onPointerMove={drawn}
      onPointerUp={(event) => {
        const taken = drawn(event)
        from.current = null
        if (taken) take(taken)
      }}
      onPointerCancel={() => {
        from.current = null
      }}
    >
      <div
        className="area"
        style={{ left: area.x, top: area.y, width: area.width, height: area.height }}
      />
      <p id="area-keys">
        Draw an area. Arrows move it, Shift+arrows size it, Enter takes the picture, Escape cancels.
      </p>
    </div>
  )
}

/** As much of an area as lies within bounds, and no smaller than an area is. */
function inside(area: Rect, bounds: Rect): Rect {
  const width = clamp(area.width, LEAST, bounds.width)
  const height = clamp(area.height, LEAST, bounds.height)
  return {
    x: clamp(area.x, bounds.x, bounds.x + bounds.width - width),
    y: clamp(area.y, bounds.y, bounds.y + bounds.height - height),
    width,
    height,
  }
}
