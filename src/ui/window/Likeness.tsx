import { useEffect, useRef } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { shownFrame } from '@/core/model/selectors'
import type { Size, WindowId } from '@/core/model/types'
import { whenIdle } from '@/store/idle'
import { useArrangement } from '@/store/useShelf'
import { windowElement } from '@/ui/parts/focus'
import { useShowing } from './showing'

/** How long what a window shows is waited for, in milliseconds. */
const COMING = 2000

const ALL_OF_IT = { childList: true, subtree: true, characterData: true, attributes: true }

/** A picture of a window: its elements, copied, and copied again when they change if it is live. */
export function Likeness({ id, within, live }: { id: WindowId; within: Size; live?: boolean }) {
  const size = useArrangement(
    useShallow((state) => {
      const window = state.windows[id]
      return window ? shownFrame(state, window) : null
    }),
  )
  const place = useRef<HTMLDivElement>(null)
  const showing = useShowing()
  useEffect(() => {
    let frame = 0
    let enough: ReturnType<typeof setTimeout> | undefined
    const original = () => windowElement(id)?.querySelector('.win-edge')
    const copy = () => {
      const copied = original()?.cloneNode(true) as Element | undefined
      if (!copied) return
      for (const named of copied.querySelectorAll('[id]')) named.removeAttribute('id')
      place.current?.replaceChildren(copied)
    }
    const watch = new MutationObserver(copy)
    const begin = () => {
      copy()
      const of = original()
      if (of) watch.observe(of, ALL_OF_IT)
    }
    // What is opened with it comes first: a picture can wait.
    const leave = whenIdle(() => {
      // A window that was not seen yet is drawn for it; what it shows may come a little later.
      showing.warm(id)
      frame = requestAnimationFrame(begin)
      if (!live) enough = setTimeout(() => watch.disconnect(), COMING)
    }, 100)
    return () => {
      leave()
      cancelAnimationFrame(frame)
      clearTimeout(enough)
      watch.disconnect()
    }
  }, [id, live, showing])
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
