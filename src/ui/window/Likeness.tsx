import { useEffect, useRef } from 'react'
import { useShallow } from 'zustand/react/shallow'
import type { Size } from '@/core/geometry/rect'
import type { WindowId } from '@/core/model/ids'
import { shownFrame } from '@/core/model/selectors'
import { windowElement } from '@/parts/focus'
import { whenIdle } from '@/store/idle'
import { useArrangement } from '@/store/useShelf'
import { useShowing } from './useShowing'

/** How soon a picture follows what changes in its window, live or not, in milliseconds. */
const LIVE = 120
const LATER = 600

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
    let next: ReturnType<typeof setTimeout> | undefined
    const original = () => windowElement(id)?.querySelector('.win-edge')
    const copy = () => {
      next = undefined
      const of = original()
      if (of && place.current) show(of, place.current)
    }
    const watch = new MutationObserver(() => {
      next ??= setTimeout(copy, live ? LIVE : LATER)
    })
    // A window that was not seen yet is drawn for it first.
    const begin = () => {
      const of = original()
      if (!of) {
        frame = requestAnimationFrame(begin)
        return
      }
      copy()
      watch.observe(of, ALL_OF_IT)
    }
    // Of another window nothing is to be seen meanwhile.
    place.current?.replaceChildren()
    // What is opened with it comes first: a picture can wait.
    const leave = whenIdle(() => {
      showing.warm(id)
      frame = requestAnimationFrame(begin)
    }, 100)
    return () => {
      leave()
      cancelAnimationFrame(frame)
      clearTimeout(next)
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

/** Puts a copy in the place, with what the browser leaves out of one: what was drawn, typed, scrolled. */
function show(of: Element, place: Element): void {
  const copied = of.cloneNode(true) as Element
  const copies = [...copied.querySelectorAll('*')]
  const pairs = [...of.querySelectorAll('*')].flatMap((one, at) => {
    const copy = copies[at]
    return copy ? [[one, copy] as const] : []
  })
  for (const [one, copy] of pairs) {
    copy.removeAttribute('id')
    if (one instanceof HTMLCanvasElement && copy instanceof HTMLCanvasElement && one.width > 0)
      copy.getContext('2d')?.drawImage(one, 0, 0)
    else if (isField(one) && isField(copy)) copy.value = one.value
    // A page would be opened a second time.
    else if (copy instanceof HTMLIFrameElement) copy.replaceWith(document.createElement('div'))
  }
  place.replaceChildren(copied)
  for (const [one, copy] of pairs)
    if (one.scrollTop > 0 || one.scrollLeft > 0) copy.scrollTo(one.scrollLeft, one.scrollTop)
}

const isField = (element: Element): element is HTMLInputElement | HTMLTextAreaElement =>
  element instanceof HTMLTextAreaElement ||
  (element instanceof HTMLInputElement && element.type !== 'file')
