import { type PointerEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { WindowId } from '@/core/model/ids'
import { shownFrame, title } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** How long a key or the pointer is held until a window is looked at closely, in milliseconds. */
const HELD = 300

/** How far the pointer may move meanwhile, in pixels: beyond that it drags. */
const STEADY = 5

/** Around a window that is looked at, in pixels. */
const AROUND = 16

/** Above all that is laid out, and the veil behind it. */
const ABOVE = 2_147_483_004

/** Stands a window at its own size above all else, in the middle; null puts it back. */
function lookClosely(shelf: Shelf, id: WindowId | null): void {
  const state = shelf.state()
  const window = id === null ? undefined : state.windows[id]
  if (!window) {
    if (shelf.page.getState().closely) shelf.page.setState({ closely: null })
    return
  }
  const area = document.getElementById('windows')
  const { clientWidth = 0, clientHeight = 0, scrollTop = 0 } = area ?? {}
  const { width, height } = shownFrame(state, window)
  const scale = Math.min(
    1,
    (clientWidth - 2 * AROUND) / width,
    (clientHeight - 2 * AROUND) / height,
  )
  const x = Math.round((clientWidth - width * scale) / 2)
  const y = Math.round(scrollTop + (clientHeight - height * scale) / 2)
  shelf.page.setState({
    closely: { window: window.id, place: { x, y, width, height, scale, z: ABOVE } },
    announced: `Looking closely at ${title(state, window)}`,
  })
}

/** A key that is down. */
interface Held {
  code: string
  /** Whether it was held for long enough. */
  looked: boolean
  soon: ReturnType<typeof setTimeout>
  pressed(): void
}

/**
 * Looks closely at what is chosen while a key is held; another choice is looked at in its place.
 * @returns what a key that goes down begins; if it is let go before that, what it does when pressed
 */
export function useCloseLook(
  chosen: WindowId | null,
): (key?: KeyboardEvent, pressed?: () => void) => void {
  const shelf = useShelf()
  const [looking, setLooking] = useState(false)
  const held = useRef<Held | null>(null)
  useEffect(() => {
    if (looking) lookClosely(shelf, chosen)
    return () => lookClosely(shelf, null)
  }, [looking, chosen, shelf])
  const look = (key: Held) => {
    key.looked = true
    setLooking(true)
  }
  const end = useCallback(() => {
    clearTimeout(held.current?.soon)
    held.current = null
    setLooking(false)
  }, [])
  useEffect(() => {
    const up = ({ code }: KeyboardEvent) => {
      if (held.current?.code !== code) return
      const { looked, pressed } = held.current
      end()
      if (!looked) pressed()
    }
    addEventListener('keyup', up, { capture: true })
    addEventListener('blur', end)
    return () => {
      removeEventListener('keyup', up, { capture: true })
      removeEventListener('blur', end)
      end()
    }
  }, [end])
  return (key, pressed = () => {}) => {
    if (!key) return pressed()
    const { code } = key
    // It goes down again and again while it is held.
    if (held.current?.code === code) return
    end()
    const now: Held = { code, pressed, looked: false, soon: setTimeout(() => look(now), HELD) }
    held.current = now
  }
}

/** The same by pointer: what is held looks closely at its window, until it is let go or moved. */
export function useHeldLook(id: WindowId): { onPointerDown(event: PointerEvent): void } {
  const shelf = useShelf()
  return useMemo(() => ({ onPointerDown: (event) => lookWhileHeld(shelf, id, event) }), [shelf, id])
}

function lookWhileHeld(
  shelf: Shelf,
  id: WindowId,
  { button, pointerType, clientX, clientY }: PointerEvent,
): void {
  // A finger that rests on something asks for its menu.
  if (button !== 0 || pointerType === 'touch') return
  const gone = new AbortController()
  const heard = { capture: true, signal: gone.signal }
  const soon = setTimeout(() => lookClosely(shelf, id), HELD)
  const end = () => {
    clearTimeout(soon)
    gone.abort()
    lookClosely(shelf, null)
  }
  const letGo = () => {
    if (shelf.page.getState().closely) dropNextClick()
    end()
  }
  addEventListener('pointerup', letGo, heard)
  addEventListener('pointercancel', end, heard)
  // The page’s own, not that of what had the keys in it.
  addEventListener('blur', end, { signal: gone.signal })
  addEventListener(
    'pointermove',
    ({ clientX: x, clientY: y }) => {
      if (Math.hypot(x - clientX, y - clientY) > STEADY) end()
    },
    heard,
  )
}

/** The click that follows when the pointer is let go is none. */
function dropNextClick(): void {
  const drop = (event: MouseEvent) => {
    event.preventDefault()
    event.stopPropagation()
  }
  addEventListener('click', drop, { capture: true, once: true })
  setTimeout(() => removeEventListener('click', drop, { capture: true }), 0)
}
