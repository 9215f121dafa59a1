import { useEffect, useRef } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { shownFrame } from '@/core/model/selectors'
import type { Size, WindowId } from '@/core/model/types'
import { whenIdle } from '@/store/idle'
import { useArrangement } from '@/store/useShelf'
import { windowElement } from './focus'

/** A picture of a window: its elements, copied, and copied again when they change if it is live. */
export function Likeness({ id, within, live }: { id: WindowId; within: Size; live?: boolean }) {
  const size = useArrangement(
    useShallow((state) => {
      const window = state.windows[id]
      return window ? shownFrame(state, window) : null
    }),
  )
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const original = windowElement(id)?.querySelector('.win-edge')
    if (!original) return
    const copy = () => {
      const copied = original.cloneNode(true) as Element
      for (const named of copied.querySelectorAll('[id]')) named.removeAttribute('id')
      place.current?.replaceChildren(copied)
    }
    // What is opened with it comes first: a picture can wait.
    const leave = whenIdle(copy, 100)
    if (!live) return leave
    const watch = new MutationObserver(copy)
    watch.observe(original, {
      childList: true,
      subtree: true,
      characterData: true,
      attributes: true,
    })
    return () => {
      leave()
      watch.disconnect()
    }
  }, [id, live])
  if (!size) return null
  const scale = Math.min(within.width / size.width, within.height / size.height)
  return (
    <div
      aria-hidden
      inert
      className="shrink-0 overflow-hidden outline outline-seam"
      style={{ width: size.width * scale, height: size.height * scale }}
    >
      <div
        ref={place}
        className="win pointer-events-none"
        style={{
          position: 'relative',
          width: size.width,
          height: size.height,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
        }}
      />
    </div>
  )
}
