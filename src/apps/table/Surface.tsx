import { type ClipboardEvent, type ComponentProps, type RefObject, useRef } from 'react'
import { isControl } from '@/parts/isControl'
import { type CopiedCells, copiedIn, putOwn, toText } from './clipboard'
import { NUMBERS, type Place, type Selection } from './useSelection'

/** What lies under the grid: it takes the keys for it, the clipboard, what is dropped, and a range drawn over cells. */
export function Surface({
  area,
  hasRows,
  editing,
  selection,
  cells,
  onEmpty,
  onPut,
  onFind,
  children,
  ...more
}: {
  area: RefObject<HTMLDivElement | null>
  hasRows: boolean
  editing: boolean
  selection: Selection
  /** The cells that are chosen: what they show, and what is in them. */
  cells(): { shown: string[][]; copied: CopiedCells }
  onEmpty(): void
  /** @param over whether a single value fills all that is chosen */
  onPut(copied: CopiedCells, at: Place, over: boolean): void
  onFind(): void
} & ComponentProps<'div'>) {
  // Whether a range is drawn with the pointer: what is drawn in another window goes on over cells too.
  const drawing = useRef(false)
  const { active, range, many } = selection
  const copy = (event: ClipboardEvent, cut: boolean) => {
    if (editing || range.top < 0) return
    event.preventDefault()
    const { shown, copied } = cells()
    event.clipboardData.setData('text/plain', toText(shown))
    putOwn(event.clipboardData, cut ? { ...copied, from: null } : copied)
    if (cut) onEmpty()
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the grid within takes the keys
    <div
      {...more}
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
      onKeyDown={(event) => {
        // From the header, and where no row is left.
        if (event.defaultPrevented || !isControl(event, 'f')) return
        event.preventDefault()
        onFind()
      }}
      onContextMenu={(event) => {
        const at = placeOf(event.target)
        if (at && !holds(range, at)) selection.goTo(at)
        more.onContextMenu?.(event)
      }}
      onCopy={(event) => copy(event, false)}
      onCut={(event) => copy(event, true)}
      onPaste={(event) => {
        if (editing) return
        event.preventDefault()
        const corner = { row: range.top, column: range.left }
        onPut(copiedIn(event.clipboardData), corner, many)
      }}
      onDragOver={(event) => placeOf(event.target) && event.preventDefault()}
      onDrop={(event) => {
        const at = placeOf(event.target)
        if (!at || event.dataTransfer.files.length) return
        event.preventDefault()
        const text = event.dataTransfer.getData('text/plain')
        onPut({ cells: [[text.replace(/\s+/g, ' ').trim()]], from: null }, at, false)
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
    column: Number(cell.getAttribute('aria-colindex')) - 1 - NUMBERS,
  }
}

const holds = (range: Selection['range'], { row, column }: Place): boolean =>
  row >= range.top && row <= range.bottom && column >= range.left && column <= range.right
