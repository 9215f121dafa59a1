import type { CellKeyboardEvent, CellKeyDownArgs } from 'react-data-grid'
import type { Row } from './columns'
import type { Selection } from './useSelection'

const ARROWS: Record<string, readonly [rows: number, columns: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** What keys with Ctrl or Command do. */
const CONTROL = {
  z: 'undo',
  'Shift+z': 'redo',
  y: 'redo',
  Enter: 'addRow',
  'Shift+Enter': 'addColumn',
  Backspace: 'removeRows',
  'Shift+Backspace': 'removeColumns',
} as const

export type Edits = Record<(typeof CONTROL)[keyof typeof CONTROL], () => void>

/** What keys do to a table. */
interface Acts {
  edits: Edits
  selection: Selection
  empty(): void
  /** The cell that is typed into is left, downwards where that is to be gone to. */
  leave(to: { row: number; column: number } | null): void
}

/** Keys in the grid, in a cell and on one. */
export function press(acts: Acts, args: CellKeyDownArgs<Row>, event: CellKeyboardEvent): void {
  // With Alt it is a command, or nothing: the grid would begin to edit.
  if (event.altKey) event.preventGridDefault()
  else if (args.mode === 'EDIT') pressWithin(acts, args, event)
  else if (pressOn(acts, args.rowIdx, event)) {
    event.preventGridDefault()
    event.preventDefault()
  }
}

function pressWithin(
  { leave }: Acts,
  args: Extract<CellKeyDownArgs<Row>, { mode: 'EDIT' }>,
  event: CellKeyboardEvent,
): void {
  if (event.key === 'Escape') {
    event.stopPropagation()
    leave(null)
  } else if (event.key === 'Enter') {
    event.preventGridDefault()
    event.preventDefault()
    args.onClose(true)
    leave({ row: args.rowIdx + 1, column: args.column.idx })
  }
}

/** @returns whether the key meant something */
function pressOn(
  { edits, selection, empty }: Acts,
  row: number,
  { key, shiftKey, ctrlKey, metaKey }: CellKeyboardEvent,
): boolean {
  if (ctrlKey || metaKey) {
    const pressed = `${shiftKey ? 'Shift+' : ''}${key.length === 1 ? key.toLowerCase() : key}`
    if (pressed === 'a') selection.all()
    else if (pressed in CONTROL) edits[CONTROL[pressed as keyof typeof CONTROL]]()
    else return false
    return true
  }
  const step = ARROWS[key]
  if (shiftKey && step && row >= 0) selection.extendBy(step)
  else if (key === 'Delete' || key === 'Backspace') empty()
  else return false
  return true
}
