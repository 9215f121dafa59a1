import type { WindowId } from '@/core/model/ids'
import { windowElement } from '@/parts/focus'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/** Where something is scrolled to: its way from the window's body down, child by child. */
interface Scrolled {
  path: number[]
  top: number
  left: number
}

const remembered = ofShelf(() => new Map<WindowId, Scrolled[]>())

/** How long a window that wakes is given to show what it had, in milliseconds. */
const PATIENCE = 3000

const bodyOf = (id: WindowId) => windowElement(id)?.querySelector('.win-body')

/** Keeps how far everything in a window is scrolled, before it is put to rest. */
export function rememberScroll(shelf: Shelf, id: WindowId): void {
  const body = bodyOf(id)
  if (!body) return
  const found: Scrolled[] = []
  for (const element of body.querySelectorAll('*')) {
    const { scrollTop: top, scrollLeft: left } = element
    if (top || left) found.push({ path: pathTo(element, body), top, left })
  }
  remembered(shelf).set(id, found)
}

/** Scrolls a window that was woken to where it was, as soon as its content is there. */
export function restoreScroll(shelf: Shelf, id: WindowId): () => void {
  const wanted = remembered(shelf).get(id)
  if (!wanted?.length) return () => {}
  const until = performance.now() + PATIENCE
  let frame = 0
  const attempt = () => {
    const body = bodyOf(id)
    const missing = wanted.filter(({ path, top, left }) => {
      const element = body ? follow(body, path) : undefined
      element?.scrollTo({ top, left, behavior: 'instant' })
      return !element || Math.abs(element.scrollTop - top) > 1
    })
    if (missing.length && performance.now() < until) frame = requestAnimationFrame(attempt)
  }
  attempt()
  return () => cancelAnimationFrame(frame)
}

function pathTo(element: Element, top: Element): number[] {
  const path: number[] = []
  for (let at = element; at !== top && at.parentElement; at = at.parentElement)
    path.unshift([...at.parentElement.children].indexOf(at))
  return path
}

const follow = (top: Element, path: number[]): Element | undefined =>
  path.reduce<Element | undefined>((at, index) => at?.children[index], top)
