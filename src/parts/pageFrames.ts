/**
 * A page in a frame may take the focus by itself. A frame that the pointer has not moved over since
 * the last key was pressed elsewhere is inert: nobody can have pushed into it, so that the focus is
 * taken back at once. A page that does it again and again is stopped, for a key may be lost each time.
 */

import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

const own = ofShelf(() => ({
  /** The frame whose page was given the keys, by key or by pushing into it. */
  given: null as HTMLIFrameElement | null,
}))
/** The frames that are not inert. */
const open = ofShelf(() => new Set<HTMLIFrameElement>())

function openUp(shelf: Shelf, frame: HTMLIFrameElement): void {
  frame.inert = false
  open(shelf).add(frame)
}

/** Gives the keys to the page in a frame. */
export function giveKeys(shelf: Shelf, frame: HTMLIFrameElement): void {
  own(shelf).given = frame
  openUp(shelf, frame)
  frame.focus()
}

/** No page gets the keys before the pointer moves over it again. */
export function shutFrames(shelf: Shelf): void {
  const { activeElement } = document
  if (own(shelf).given !== activeElement) own(shelf).given = null
  for (const frame of open(shelf)) {
    if (frame === activeElement) continue
    frame.inert = true
    open(shelf).delete(frame)
  }
}

/** The pointer is over a frame: it may be pushed now. */
export function openFrame(shelf: Shelf, { target }: Event): void {
  const frame =
    target instanceof Element
      ? target.querySelector<HTMLIFrameElement>(':scope > iframe[data-page]')
      : null
  if (frame?.inert) openUp(shelf, frame)
}

/** So often a page may take the keys by itself before it is stopped: many do when they are loaded. */
const TAKEN_MOST = 3

interface Watched {
  taken: number
  stop(): void
}
const watched = ofShelf(() => new WeakMap<HTMLIFrameElement, Watched>())

/** A frame that was just made: inert, and stopped when its page takes the keys again and again. */
export function watchFrame(shelf: Shelf, frame: HTMLIFrameElement, stop: () => void): void {
  frame.inert = true
  watched(shelf).set(frame, { taken: 0, stop })
}

/** Whether the person can have given the keys to a frame; else it took them by itself. */
export function wasGiven(shelf: Shelf, frame: HTMLIFrameElement): boolean {
  // Not every browser tells whether anything was pushed.
  if (!frame.inert && navigator.userActivation?.isActive !== false) own(shelf).given = frame
  // Once given it has them until they are taken back, also when nothing is pushed for long.
  if (frame === own(shelf).given) return true
  const watch = watched(shelf).get(frame)
  if (watch && ++watch.taken === TAKEN_MOST) watch.stop()
  return false
}
