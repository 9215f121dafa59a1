'use client'
import {
  type CellKeyboardEvent,
  type CellKeyDownArgs,
  DataGrid,
  type DataGridHandle,
} from 'react-data-grid'
import 'react-data-grid/lib/styles.css'
import {
  type ClipboardEvent,
  type RefObject,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import { usePassage } from '@/store/documents/passages'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { toBlock, toText } from './clipboard'
import { type Row, useColumns } from './columns'
import { TABLE, type TableContent } from './content'
import {
  addColumn,
  addRow,
  type Cells,
  fill,
  putBlock,
  removeColumns,
  removeRows,
  renameColumn,
  setCell,
  shownRows,
} from './edits'
import { Tools } from './Tools'
import { useTable } from './useTable'

const ROW_HEIGHT = 27
/** A place on screen: row -1 is the header. */
interface Place {
  row: number
  column: number
}

export default function Table({ document: id }: AppProps) {
  const table = useShownContent(TABLE, id)
  return table ? <Grid id={id} table={table} /> : null
}

function Grid({ id, table }: { id: string; table: TableContent }) {
  const grid = useRef<DataGridHandle>(null)
  const [active, setActive] = useState<Place>({ row: 0, column: 0 })
  // Where a range begins that ends at the active cell.
  const [anchor, setAnchor] = useState<Place | null>(null)
  const extending = useRef(false)
  // Whether a range is drawn with the pointer: what is drawn in another window goes on over cells too.
  const drawing = useRef(false)
  const [editing, setEditing] = useState(false)
  const wanted = useRef<Place | null>(null)
  const { change, view, type, typed, undo, redo, canUndo, canRedo } = useTable(id, table)
  const shown = useShown(table, editing)
  const rows = useMemo(
    () => shown.map((at, index): Row => ({ at, index, cells: table.rows[at] ?? [] })),
    [shown, table.rows],
  )
  const range = rangeOf(active, anchor)
  const inRange = shown.slice(Math.max(0, range.top), range.bottom + 1)
  const goTo = (to: Place) => {
    wanted.current = to
    setActive(to)
  }
  // A cell that is only there after the change is gone to then, before the next key comes.
  useLayoutEffect(() => {
    const to = wanted.current
    if (!to || to.row >= rows.length || to.column >= table.columns.length) return
    wanted.current = null
    grid.current?.setActivePosition({ rowIdx: to.row, idx: to.column }, { shouldFocus: true })
  })
  const [area, width] = useWidth()
  usePassage(id, (text) => {
    // Only what has the focus goes to a cell and stays there.
    if (!area.current?.contains(document.activeElement)) return false
    const sought = text.toLowerCase()
    const has = (cell: string) => cell.toLowerCase().includes(sought)
    const row = rows.findIndex(({ cells }) => cells.some(has))
    if (row >= 0) goTo({ row, column: rows[row]?.cells.findIndex(has) ?? 0 })
    return row >= 0
  })
  const columns = useColumns({
    table,
    width,
    range: anchor ? range : null,
    edit: {
      onType: (at, column, value) => type(setCell(table, at, column, value)),
      onEditing: setEditing,
      onLeave: typed,
    },
    onRename: (column, name) => change(renameColumn(table, column, name)),
  })
  const edits = {
    addRow: () => {
      change(addRow(table, shown[active.row] ?? table.rows.length - 1))
      goTo({ row: active.row + 1, column: active.column })
    },
    addColumn: () => change(addColumn(table, active.column)),
    removeRows: () => change(removeRows(table, inRange)),
    removeColumns: () => change(removeColumns(table, range.left, range.right)),
    undo,
    redo,
  }
  const keys = (args: CellKeyDownArgs<Row>, event: CellKeyboardEvent) => {
    // With Alt it is a command, or nothing: the grid would begin to edit.
    if (event.altKey) return event.preventGridDefault()
    if (args.mode === 'EDIT') {
      if (event.key === 'Escape') {
        event.stopPropagation()
        typed(false)
      } else if (event.key === 'Enter') {
        event.preventGridDefault()
        event.preventDefault()
        args.onClose(true)
        const below = { row: args.rowIdx + 1, column: args.column.idx }
        if (below.row === rows.length) {
          typed(true)
          type(addRow(table, table.rows.length - 1))
          typed(true)
        }
        goTo(below)
      }
      return
    }
    const done = acts(event, args.rowIdx)
    if (!done) return
    event.preventGridDefault()
    event.preventDefault()
  }
  /** @returns whether the key meant something */
  const acts = (event: CellKeyboardEvent, row: number): boolean => {
    const { key, shiftKey } = event
    const step = ARROWS[key]
    if (event.ctrlKey || event.metaKey) {
      const does =
        CONTROL[`${shiftKey ? 'Shift+' : ''}${key.length === 1 ? key.toLowerCase() : key}`]
      if (does === 'all') {
        setAnchor({ row: 0, column: 0 })
        extend({ row: rows.length - 1, column: table.columns.length - 1 })
      } else if (does) edits[does]()
      return does !== undefined
    }
    if (shiftKey && step && row >= 0) {
      const to = {
        row: clamp(active.row + step[0], rows.length),
        column: clamp(active.column + step[1], table.columns.length),
      }
      extend(to)
      return true
    }
    if (key === 'Delete' || key === 'Backspace') {
      change(fill(table, inRange, range.left, range.right, ''))
      return true
    }
    return false
  }
  const extend = (to: Place) => {
    setAnchor(anchor ?? active)
    extending.current = true
    setActive(to)
    grid.current?.setActivePosition({ rowIdx: to.row, idx: to.column }, { shouldFocus: true })
  }
  const copy = (event: ClipboardEvent, cut: boolean) => {
    if (editing || range.top < 0) return
    event.preventDefault()
    const block = inRange.map((at) => table.rows[at]?.slice(range.left, range.right + 1) ?? [])
    event.clipboardData.setData('text/plain', toText(block))
    if (cut) change(fill(table, inRange, range.left, range.right, ''))
  }
  /** Puts what was dropped or pasted into the cells from a place on; one value fills a range. */
  const put = (text: string, at: Place, over: Cells | null) => {
    const block = toBlock(text)
    const [first] = block
    if (!first || at.row < 0) return
    const single = block.length === 1 && first.length === 1 && over
    if (single) change(fill(table, inRange, range.left, range.right, first[0] ?? ''))
    else change(putBlock(table, shown.slice(at.row, at.row + block.length), at.column, block))
    goTo(at)
  }
  return (
    <>
      <Tools
        table={table}
        shown={shown.length}
        onFilter={(filter) => view({ ...table, filter })}
        edits={edits}
        can={{ undo: canUndo, redo: canRedo, removeRow: inRange.length > 0 }}
      />
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the grid within takes the keys */}
      <div
        ref={area}
        className="flex min-h-0 flex-1 flex-col outline-none"
        data-autofocus=""
        data-hands-on={rows.length ? '' : undefined}
        tabIndex={-1}
        onFocus={(event) => {
          if (event.target !== event.currentTarget) return
          // The grid does not go to the cell it is at already.
          const cell = event.currentTarget.querySelector<HTMLElement>('[aria-selected=true]')
          if (cell) return (cell.querySelector('input') ?? cell).focus({ preventScroll: true })
          grid.current?.setActivePosition(
            {
              rowIdx: clamp(active.row, rows.length),
              idx: clamp(active.column, table.columns.length),
            },
            { shouldFocus: true },
          )
        }}
        onCopy={(event) => copy(event, false)}
        onCut={(event) => copy(event, true)}
        onPaste={(event) => {
          if (editing) return
          event.preventDefault()
          const corner = { row: range.top, column: range.left }
          put(event.clipboardData.getData('text/plain'), corner, anchor && range)
        }}
        onDragOver={(event) => placeOf(event.target) && event.preventDefault()}
        onDrop={(event) => {
          const at = placeOf(event.target)
          if (!at || event.dataTransfer.files.length) return
          event.preventDefault()
          put(event.dataTransfer.getData('text/plain').replace(/\s+/g, ' ').trim(), at, null)
        }}
        onMouseDown={(event) => {
          drawing.current = event.button === 0 && placeOf(event.target) !== null
          addEventListener('mouseup', () => (drawing.current = false), {
            capture: true,
            once: true,
          })
        }}
        onMouseOver={(event) => {
          const draws = drawing.current && event.buttons === 1 && !editing
          const at = draws ? placeOf(event.target) : null
          if (at && (at.row !== active.row || at.column !== active.column)) extend(at)
        }}
      >
        <DataGrid
          ref={grid}
          aria-label="Cells"
          className="table-grid"
          columns={columns}
          rows={rows}
          rowKeyGetter={({ at }) => at}
          rowHeight={ROW_HEIGHT}
          headerRowHeight={ROW_HEIGHT}
          // What is typed is kept as it is typed.
          onRowsChange={() => {}}
          sortColumns={
            table.sort
              ? [
                  {
                    columnKey: String(table.sort.column),
                    direction: table.sort.down ? 'DESC' : 'ASC',
                  },
                ]
              : []
          }
          onSortColumnsChange={([sort]) =>
            view({
              ...table,
              sort: sort
                ? { column: Number(sort.columnKey), down: sort.direction === 'DESC' }
                : null,
            })
          }
          onCellMouseDown={({ rowIdx, column }, event) => {
            if (!event.shiftKey || editing) return
            event.preventGridDefault()
            extend({ row: rowIdx, column: column.idx })
          }}
          onCellKeyDown={keys}
          onActivePositionChange={({ rowIdx, column }) => {
            if (extending.current) extending.current = false
            else setAnchor(null)
            if (column) setActive({ row: rowIdx, column: column.idx })
          }}
          renderers={{
            noRowsFallback: (
              <p className="p-3 font-sans text-soft">
                {table.rows.length
                  ? 'No row matches the filter.'
                  : 'No rows yet. Ctrl+Enter adds one.'}
              </p>
            ),
          }}
        />
      </div>
    </>
  )
}

const ARROWS: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** What keys with Ctrl or Command do. */
const CONTROL: Record<
  string,
  'undo' | 'redo' | 'addRow' | 'addColumn' | 'removeRows' | 'removeColumns' | 'all'
> = {
  z: 'undo',
  'Shift+z': 'redo',
  y: 'redo',
  Enter: 'addRow',
  'Shift+Enter': 'addColumn',
  Backspace: 'removeRows',
  'Shift+Backspace': 'removeColumns',
  a: 'all',
}

const clamp = (at: number, count: number): number => Math.max(0, Math.min(at, count - 1))

const rangeOf = (active: Place, anchor: Place | null): Cells => {
  const other = anchor ?? active
  return {
    top: Math.min(active.row, other.row),
    left: Math.min(active.column, other.column),
    bottom: Math.max(active.row, other.row),
    right: Math.max(active.column, other.column),
  }
}

/** The rows on screen. While a cell is typed into they stay where they are, however they sort. */
function useShown(table: TableContent, editing: boolean): number[] {
  const { rows, sort, filter } = table
  const now = useMemo(
    () => shownRows({ columns: [], rows, sort: sort ?? null, filter: filter ?? '' }),
    [rows, sort, filter],
  )
  const last = useRef(now)
  if (!editing) last.current = now
  // A row that was added meanwhile is shown all the same.
  return editing && last.current.length === now.length ? last.current : now
}

/** How wide an element is, followed while it changes. */
function useWidth(): [RefObject<HTMLDivElement | null>, number] {
  const element = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0))
    if (element.current) observer.observe(element.current)
    return () => observer.disconnect()
  }, [])
  return [element, width]
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
