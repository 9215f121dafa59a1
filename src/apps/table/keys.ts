import type { CellKeyboardEvent, CellKeyDownArgs } from 'react-data-grid'
import type { Row } from './columns'
import { type Extent, NUMBERS, type Place, type Selection } from './useSelection'

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
  'Shift+f': 'fillDown',
  f: 'find',
  p: 'print',
  '/': 'filter',
  'Shift+/': 'filter',
} as const

type Edits = Record<(typeof CONTROL)[keyof typeof CONTROL], () => void>

/** What keys do to a table. */
interface Acts {
  edits: Edits
  selection: Selection
  empty(): void
  /** Where Ctrl and an arrow go from the cell one is at. */
  edge(step: readonly [rows: number, columns: number]): Place
  /** How many rows are shown, and how many columns there are. */
  extent: Extent
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
    leave({ row: args.rowIdx + 1, column: args.column.idx - NUMBERS })
  }
}

/** @returns whether the key meant something */
function pressOn(acts: Acts, row: number, event: CellKeyboardEvent): boolean {
  const { edits, selection, empty } = acts
  const { key, shiftKey, ctrlKey, metaKey } = event
  const far = ctrlKey || metaKey
  const to = goneTo(acts, event)
  if (to && row >= 0) {
    if (shiftKey) selection.extend(to)
    else selection.goTo(to)
  } else if (far) {
    const pressed = `${shiftKey ? 'Shift+' : ''}${key.length === 1 ? key.toLowerCase() : key}`
    if (pressed === 'a') selection.all()
    else if (pressed in CONTROL) edits[CONTROL[pressed as keyof typeof CONTROL]]()
    else return false
  } else if (shiftKey && ARROWS[key] && row >= 0) selection.extendBy(ARROWS[key])
  else if (key === 'Delete' || key === 'Backspace') empty()
  else return false
  return true
}

/** Where the keys go that go further than to the next cell. */
function goneTo(
  { selection, edge, extent }: Acts,
  { key, ctrlKey, metaKey }: CellKeyboardEvent,
): Place | null {
  const { active } = selection
  const far = ctrlKey || metaKey
  const arrow = ARROWS[key]
  if (arrow) return far && active.column >= 0 ? edge(arrow) : null
  if (key === 'Home') return { row: far ? 0 : active.row, column: 0 }
  if (key !== 'End') return null
  return { row: far ? Math.max(0, extent.rows - 1) : active.row, column: extent.columns - 1 }
}
