import { type ClipboardEvent, type ReactNode, type RefObject, useRef } from 'react'
import { toText } from './clipboard'
import type { Cells } from './edits'
import type { Place, Selection } from './useSelection'

/** What lies under the grid: it takes the keys for it, the clipboard, what is dropped, and a range drawn over cells. */
export function Surface({
  area,
  hasRows,
  editing,
  selection,
  cells,
  onEmpty,
  onPut,
  children,
}: {
  area: RefObject<HTMLDivElement | null>
  hasRows: boolean
  editing: boolean
  selection: Selection
  /** What is in the cells that are chosen. */
  cells(): string[][]
  onEmpty(): void
  /** @param over the range that one value fills; null where it goes to a place alone */
  onPut(text: string, at: Place, over: Cells | null): void
  children: ReactNode
}) {
  // Whether a range is drawn with the pointer: what is drawn in another window goes on over cells too.
  const drawing = useRef(false)
  const { active, range, many } = selection
  const copy = (event: ClipboardEvent, cut: boolean) => {
    if (editing || range.top < 0) return
    event.preventDefault()
    event.clipboardData.setData('text/plain', toText(cells()))
    if (cut) onEmpty()
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the grid within takes the keys
    <div
      ref={area}
      className="flex min-h-0 flex-1 flex-col outline-none"
      data-autofocus=""
      data-hands-on={hasRows ? '' : undefined}
      tabIndex={-1}
      onFocus={(event) => {
        if (event.target !== event.currentTarget) return
        // The grid does not go to the cell it is at already.
        const cell = event.currentTarget.querySelector<HTMLElement>('[aria-selected=true]')
        if (cell) (cell.querySelector('input') ?? cell).focus({ preventScroll: true })
        else selection.focus()
      }}
      onCopy={(event) => copy(event, false)}
      onCut={(event) => copy(event, true)}
      onPaste={(event) => {
        if (editing) return
        event.preventDefault()
        const corner = { row: range.top, column: range.left }
        onPut(event.clipboardData.getData('text/plain'), corner, many ? range : null)
      }}
      onDragOver={(event) => placeOf(event.target) && event.preventDefault()}
      onDrop={(event) => {
        const at = placeOf(event.target)
        if (!at || event.dataTransfer.files.length) return
        event.preventDefault()
        const text = event.dataTransfer.getData('text/plain')
        onPut(text.replace(/\s+/g, ' ').trim(), at, null)
      }}
      onMouseDown={(event) => {
        drawing.current = event.button === 0 && placeOf(event.target) !== null
        addEventListener('mouseup', () => (drawing.current = false), { capture: true, once: true })
      }}
      onMouseOver={(event) => {
        const draws = drawing.current && event.buttons === 1 && !editing
        const at = draws ? placeOf(event.target) : null
        if (at && (at.row !== active.row || at.column !== active.column)) selection.extend(at)
      }}
    >
      {children}
    </div>
  )
}

/** The cell something happened in; the header takes nothing. */
function placeOf(target: EventTarget): Place | null {
  const cell = (target as Element).closest('[role="gridcell"]')
  const row = cell?.closest('[role="row"]')
  if (!cell || !row) return null
  return {
    row: Number(row.getAttribute('aria-rowindex')) - 2,
    column: Number(cell.getAttribute('aria-colindex')) - 1,
  }
}
