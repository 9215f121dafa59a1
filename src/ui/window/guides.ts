import type { Rect } from '@/core/geometry/rect'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/**
 * What is drawn on the desktop while a window is in hand: lines its edges have come to, the nine
 * cells, the bar that grows along an edge. Put to the page directly, for a drag draws nothing.
 */

/** An element of the desktop that is there only as long as it is shown. */
function mark(id: string, className: string, rect: Rect | null, text = ''): HTMLElement | null {
  let element = document.getElementById(id)
  if (!rect) {
    element?.remove()
    return null
  }
  if (!element) {
    element = document.createElement('div')
    element.id = id
    document.getElementById('desktop')?.append(element)
  }
  element.className = className
  element.textContent = text
  Object.assign(element.style, {
    left: `${rect.x}px`,
    top: `${rect.y}px`,
    width: `${rect.width}px`,
    height: `${rect.height}px`,
  })
  return element
}

/**
 * A line as long as the display, moved and shown without a layout: it comes and goes with every
 * few pixels of a drag.
 */
function line(id: string, upright: boolean, at: number | null, area: Rect): void {
  const known = document.getElementById(id)
  if (at === null) {
    if (known) known.style.opacity = '0'
    return
  }
  const size = upright ? { ...area, width: 1 } : { ...area, height: 1 }
  const element = known ?? mark(id, 'guide', size)
  if (!element) return
  element.style.opacity = '1'
  element.style.translate = upright ? `${at}px 0` : `0 ${at}px`
}

const own = ofShelf(() => ({
  shown: '',
}))

/** Lines in pixels of the desktop; null for none. */
export function showGuides(shelf: Shelf, x: number | null, y: number | null, area: Rect): void {
  const now = `${x} ${y}`
  if (now === own(shelf).shown) return
  own(shelf).shown = now
  line('guide-x', true, x, area)
  line('guide-y', false, y, area)
}

/** The cells a window can be dropped into, the one it would be in marked; none where empty. */
export function showCells(cells: Rect[], chosen: number): void {
  if (cells.length === 0 && !document.getElementById('cell-0')) return
  for (let at = 0; at < 9; at++) {
    const cell = cells[at] ?? null
    mark(`cell-${at}`, at === chosen ? 'pad-cell-drop pad-cell-over' : 'pad-cell-drop', cell)
  }
}

/** A bar that grows along an edge until what it announces comes. */
export function showFlip(rect: Rect | null, time: number, says: string): void {
  const bar = mark('flip', 'flip', rect, says)
  if (!bar || !rect) return
  const upright = rect.height > rect.width
  bar.dataset.along = upright ? 'y' : 'x'
  bar.style.setProperty('--time', `${time}ms`)
}

export function clearGuides(shelf: Shelf): void {
  own(shelf).shown = ''
  for (const id of ['guide-x', 'guide-y']) mark(id, '', null)
  showCells([], -1)
  showFlip(null, 0, '')
}
