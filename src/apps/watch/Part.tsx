import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { clamp, type Point, type Rect } from '@/core/geometry/rect'

/** What a key moves the part by, and how small it can be, in shares of the picture. */
const STEP = 0.02
const LEAST = 0.04

const ARROWS: Record<string, [x: number, y: number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}

/** The part of a picture that is watched: drawn over it by pointer, or put by the arrows. */
export function Part({
  part,
  onPart,
}: {
  part: Rect | undefined
  onPart(part: Rect | undefined): void
}) {
  const from = useRef<Point>(null)
  const at = ({ clientX, clientY, currentTarget }: PointerEvent): Point => {
    const { left, top, width, height } = currentTarget.getBoundingClientRect()
    return { x: clamp((clientX - left) / width, 0, 1), y: clamp((clientY - top) / height, 0, 1) }
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Backspace' || event.key === 'Delete') return onPart(undefined)
    const way = ARROWS[event.key]
    if (!way || event.altKey || event.ctrlKey || event.metaKey) return
    event.preventDefault()
    const { x, y, width, height } = part ?? { x: 0.25, y: 0.25, width: 0.5, height: 0.5 }
    const [dx, dy] = way
    if (event.shiftKey)
      onPart({
        ...{ x, y },
        width: clamp(width + dx, LEAST, 1 - x),
        height: clamp(height + dy, LEAST, 1 - y),
      })
    else onPart({ x: clamp(x + dx, 0, 1 - width), y: clamp(y + dy, 0, 1 - height), width, height })
  }
  return (
    <button
      type="button"
      data-autofocus=""
      aria-label="Watched area"
      aria-description="Draw it with the pointer, or move it with the arrows and size it with Shift+arrows. Backspace watches all of it."
      title="Draw the area to watch. Backspace watches all of it."
      className="absolute inset-0 cursor-crosshair"
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        from.current = at(event)
      }}
      onPointerMove={(event) => {
        const start = from.current
        if (!start) return
        const to = at(event)
        const drawn = {
          x: Math.min(start.x, to.x),
          y: Math.min(start.y, to.y),
          width: Math.abs(to.x - start.x),
          height: Math.abs(to.y - start.y),
        }
        if (drawn.width >= LEAST && drawn.height >= LEAST) onPart(drawn)
      }}
      onPointerUp={() => {
        from.current = null
      }}
      onPointerCancel={() => {
        from.current = null
      }}
    >
      {part ? (
        <span
          aria-hidden
          className="absolute border-2 border-white border-dashed outline-2 outline-black"
          style={{
            left: `${part.x * 100}%`,
            top: `${part.y * 100}%`,
            width: `${part.width * 100}%`,
            height: `${part.height * 100}%`,
          }}
        />
      ) : null}
    </button>
  )
}
