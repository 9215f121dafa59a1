import type { MouseEvent, PointerEvent } from 'react'
import type { WindowId } from '@/core/model/ids'
import { title, window } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'
import { held } from '@/ui/hand/inHand'

/** Marks a window, or takes its mark away. */
export const toggleMark = (shelf: Shelf, id: WindowId): void =>
  shelf.page.setState(({ marked }) => ({
    marked: marked.includes(id) ? marked.filter((other) => other !== id) : [...marked, id],
  }))

/** What is in hand when a window is taken: all that are marked with it, and what they are called. */
export function takenWith(shelf: Shelf, id: WindowId): { windows: WindowId[]; caption: string } {
  const state = shelf.state()
  const { marked } = shelf.page.getState()
  const windows = marked.includes(id) ? marked : [id]
  const caption = windows.length > 1 ? `${windows.length} windows` : title(state, window(state, id))
  return { windows, caption }
}

const standing = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-standing]')]

const idOf = (element: HTMLElement): WindowId => element.dataset.standing ?? ''

const addMarks = (shelf: Shelf, ids: WindowId[]): void =>
  shelf.page.setState(({ marked }) => ({ marked: [...new Set([...marked, ...ids])] }))

/** A click with Ctrl marks a window, or takes its mark away; with Shift all up to it. @returns whether it was one */
export function clickedToMark(shelf: Shelf, id: WindowId, event: MouseEvent): boolean {
  if (event.ctrlKey || event.metaKey) toggleMark(shelf, id)
  else if (event.shiftKey) markUpTo(shelf, id)
  else return false
  return true
}

/** Marks all windows from the one marked last, or the chosen one, to this, as they stand. */
function markUpTo(shelf: Shelf, id: WindowId): void {
  const { marked, chosen } = shelf.page.getState()
  const all = standing().map(idOf)
  const [from, to] = [all.indexOf(marked.at(-1) ?? chosen ?? id), all.indexOf(id)]
  addMarks(shelf, all.slice(Math.min(from < 0 ? to : from, to), Math.max(from, to) + 1))
}

/** What reacts by itself, or is read. */
const NOT_FREE = 'button, input, a, header, aside, [data-head]'

/** So far the pointer goes until it is a band, in pixels. */
const BAND = 5

/**
 * A band drawn from free room around windows marks them; a push there without drawing one leaves what
 * they are laid out in. Escape gives the band up.
 */
export function drawBand(shelf: Shelf, event: PointerEvent, leave: () => void): void {
  const { button, pointerType, target, clientX, clientY } = event
  const free = target instanceof Element && !target.closest(NOT_FREE)
  // A finger scrolls.
  if (button !== 0 || pointerType === 'touch' || !free) return
  const gone = new AbortController()
  const heard = { signal: gone.signal }
  let band: HTMLElement | null = null
  const end = () => {
    gone.abort()
    band?.remove()
    release()
  }
  const release = held(end)
  const move = ({ clientX: x, clientY: y }: globalThis.PointerEvent) => {
    if (!band && Math.hypot(x - clientX, y - clientY) <= BAND) return
    if (!band) {
      band = document.createElement('div')
      band.className = 'band'
      document.body.append(band)
    }
    Object.assign(band.style, {
      left: `${Math.min(x, clientX)}px`,
      top: `${Math.min(y, clientY)}px`,
      width: `${Math.abs(x - clientX)}px`,
      height: `${Math.abs(y - clientY)}px`,
    })
  }
  const up = () => {
    const drawn = band?.getBoundingClientRect()
    end()
    if (drawn)
      addMarks(
        shelf,
        standing()
          .filter((one) => touches(one, drawn))
          .map(idOf),
      )
    // A name that is typed is left first.
    else if (shelf.page.getState().view?.view !== 'rename') leave()
  }
  addEventListener('pointermove', move, heard)
  addEventListener('pointerup', up, heard)
  addEventListener('pointercancel', end, heard)
}

function touches(element: HTMLElement, band: DOMRect): boolean {
  const { left, top, right, bottom } = element.getBoundingClientRect()
  return left < band.right && right > band.left && top < band.bottom && bottom > band.top
}
