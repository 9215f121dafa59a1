import type { Rect } from '@/core/model/types'

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

/** Lines in pixels of the desktop; null for none. */
export function showGuides(x: number | null, y: number | null, area: Rect): void {
  mark('guide-x', 'guide', x === null ? null : { ...area, x: area.x + x, width: 1 })
  mark('guide-y', 'guide', y === null ? null : { ...area, y: area.y + y, height: 1 })
}

/** The cells a window can be dropped into, the one it would be in marked; none where empty. */
export function showCells(cells: Rect[], chosen: number): void {
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

export function clearGuides(): void {
  showGuides(null, null, { x: 0, y: 0, width: 0, height: 0 })
  showCells([], -1)
  showFlip(null, 0, '')
}
