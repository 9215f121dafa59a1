'use client'
import { useVirtualizer } from '@tanstack/react-virtual'
import { ArrowDown, ArrowUp, Columns3, Rows3, Search, Trash2, Undo2 } from 'lucide-react'
import { type KeyboardEvent, memo, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { changeContent, shownContent, useContent } from '@/store/documents'
import { Tool } from '@/ui/parts/Tool'
import type { AppProps } from '../contract'
import {
  addColumn,
  addRow,
  EMPTY,
  removeColumn,
  removeRow,
  renameColumn,
  setCell,
  shownRows,
  sortBy,
  widths,
} from './edits'
import type { TableContent } from './manifest'

const ROW_HEIGHT = 27

/** Position on screen: row -1 is the header. */
interface Cursor {
  row: number
  column: number
}

export default function Table({ document: id }: AppProps) {
  const content = useContent(id)
  if (!content) return null
  return <Grid id={id} table={(shownContent(content) as TableContent | null) ?? EMPTY} />
}

function Grid({ id, table }: { id: string; table: TableContent }) {
  const [cursor, setCursor] = useState<Cursor>({ row: 0, column: 0 })
  const [editing, setEditing] = useState<string | null>(null)
  const [past, setPast] = useState<TableContent[]>([])
  const shown = useMemo(() => shownRows(table), [table])
  const scroller = useRef<HTMLDivElement>(null)
  const focusWanted = useRef(false)
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    // Before it is measured (a hidden desktop), as many rows as a window is likely to show.
    initialRect: { width: 500, height: 300 },
  })
  const change = (next: TableContent) => {
    if (next === table) return
    setPast((before) => [...before.slice(-99), table])
    changeContent(id, next, 'draft')
  }
  // Sorting and filtering change how the table is looked at, not what is in it.
  const view = (next: TableContent) => changeContent(id, next, 'look')
  const moveTo = (row: number, column: number) => {
    const to = {
      row: Math.max(-1, Math.min(row, shown.length - 1)),
      column: Math.max(0, Math.min(column, table.columns.length - 1)),
    }
    focusWanted.current = true
    setCursor(to)
    if (to.row >= 0) rows.scrollToIndex(to.row)
  }
  useEffect(() => {
    if (!focusWanted.current || editing !== null) return
    focusWanted.current = false
    scroller.current
      ?.querySelector<HTMLElement>(`[data-cell="${cursor.row}:${cursor.column}"]`)
      ?.focus({ preventScroll: true })
  })
  const at = shown[cursor.row]
  const valueAt = (): string =>
    cursor.row < 0
      ? (table.columns[cursor.column] ?? '')
      : (table.rows[at ?? -1]?.[cursor.column] ?? '')
  const commit = (value: string) => {
    setEditing(null)
    if (cursor.row < 0) change(renameColumn(table, cursor.column, value))
    else if (at !== undefined) change(setCell(table, at, cursor.column, value))
  }
  /** Puts text that was dropped or pasted into a cell. */
  const put = (cell: { row: number; column: number } | null, text: string) => {
    const into = cell && shown[cell.row]
    if (!cell || into === undefined || into === null || !text) return
    change(setCell(table, into, cell.column, text.replace(/\s+/g, ' ').trim()))
    moveTo(cell.row, cell.column)
  }
  const undo = () => {
    const before = past.at(-1)
    if (!before) return
    setPast(past.slice(0, -1))
    changeContent(id, before, 'draft')
  }
  const keys = (event: KeyboardEvent) => {
    if (event.altKey) return
    const { row, column } = cursor
    if (editing !== null) {
      const value = (event.target as HTMLInputElement).value
      if (event.key === 'Escape') {
        event.stopPropagation()
        setEditing(null)
        moveTo(row, column)
      } else if (event.key === 'Enter' || event.key === 'Tab') {
        commit(value)
        if (event.key === 'Enter') moveTo(row + 1, column)
        else moveTo(row, column + (event.shiftKey ? -1 : 1))
      } else return
      event.preventDefault()
      return
    }
    if (event.ctrlKey || event.metaKey) {
      if (event.key === 'z') undo()
      else return
      event.preventDefault()
      return
    }
    const moves: Record<string, [number, number]> = {
      ArrowUp: [row - 1, column],
      ArrowDown: [row + 1, column],
      ArrowLeft: [row, column - 1],
      ArrowRight: [row, column + 1],
      Home: [row, 0],
      End: [row, table.columns.length - 1],
      PageUp: [Math.max(0, row - 10), column],
      PageDown: [row + 10, column],
    }
    const to = moves[event.key]
    if (to) moveTo(...to)
    else if (event.key === 'Enter' || event.key === 'F2') {
      setEditing(valueAt())
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      if (row >= 0 && at !== undefined) change(setCell(table, at, column, ''))
    } else if (event.key.length === 1) setEditing(event.key)
    else return
    event.preventDefault()
  }
  const select = useCallback((row: number, column: number) => setCursor({ row, column }), [])
  const template = useMemo(
    () =>
      widths(table)
        .map((width) => `minmax(${Math.min(width, 24)}ch, ${width}fr)`)
        .join(' '),
    [table],
  )
  return (
    <>
      <div className="bar" role="toolbar" aria-label="Table">
        <Tool
          label="Add a row below"
          onClick={() => change(addRow(table, at ?? table.rows.length - 1))}
        >
          <Rows3 size={15} />+
        </Tool>
        <Tool
          label="Add a column at the right"
          onClick={() => change(addColumn(table, cursor.column))}
        >
          <Columns3 size={15} />+
        </Tool>
        <Tool
          label="Remove this row"
          disabled={at === undefined}
          onClick={() => at !== undefined && change(removeRow(table, at))}
        >
          <Rows3 size={15} />
          <Trash2 size={12} />
        </Tool>
        <Tool
          label="Remove this column"
          disabled={table.columns.length === 1}
          onClick={() => change(removeColumn(table, cursor.column))}
        >
          <Columns3 size={15} />
          <Trash2 size={12} />
        </Tool>
        <Tool label="Undo in this table" disabled={past.length === 0} onClick={undo}>
          <Undo2 size={15} />
        </Tool>
        <label className="ml-auto flex min-w-0 items-center gap-1.5 text-soft">
          <Search size={14} aria-hidden />
          <input
            className="w-24 min-w-0 border-seam border-b border-dashed bg-transparent text-ink"
            aria-label="Filter rows"
            placeholder="filter"
            value={table.filter ?? ''}
            onChange={(event) => view({ ...table, filter: event.target.value })}
          />
          {table.filter ? (
            <span className="font-mono text-[11px]">
              {shown.length}/{table.rows.length}
            </span>
          ) : null}
        </label>
      </div>
      <div
        ref={scroller}
        role="grid"
        aria-label="Cells"
        aria-rowcount={shown.length + 1}
        aria-colcount={table.columns.length}
        tabIndex={-1}
        className="min-h-0 flex-1 overflow-auto font-mono text-[12.5px]"
        onKeyDown={keys}
        onDragOver={(event) => {
          if (cellOf(event.target)) event.preventDefault()
        }}
        onDrop={(event) => {
          event.preventDefault()
          put(cellOf(event.target), event.dataTransfer.getData('text/plain'))
        }}
        onPaste={(event) => {
          if (editing !== null) return
          event.preventDefault()
          put(cursor, event.clipboardData.getData('text/plain'))
        }}
      >
        <div
          role="row"
          className="sticky top-0 z-10 grid w-max min-w-full bg-panel"
          style={{ gridTemplateColumns: template }}
        >
          {table.columns.map((name, column) => {
            const here = cursor.row === -1 && cursor.column === column
            const sorted = table.sort?.column === column ? table.sort : null
            return (
              <div
                // biome-ignore lint/suspicious/noArrayIndexKey: columns are known by position only
                key={column}
                role="columnheader"
                aria-sort={sorted ? (sorted.down ? 'descending' : 'ascending') : 'none'}
                data-cell={`-1:${column}`}
                tabIndex={here ? 0 : -1}
                className="flex h-[27px] items-center border-seam border-r border-b px-2 font-sans font-semibold text-soft focus-visible:outline-offset-[-2px]"
                onFocus={() => select(-1, column)}
                onDoubleClick={() => setEditing(name)}
              >
                {here && editing !== null ? (
                  <CellInput value={editing} onLeave={commit} />
                ) : (
                  <>
                    <span className="truncate">{name}</span>
                    <button
                      type="button"
                      tabIndex={here ? 0 : -1}
                      className="ml-auto grid size-5 shrink-0 place-items-center opacity-60 hover:opacity-100"
                      aria-label={`Sort by ${name}`}
                      onClick={() => view(sortBy(table, column))}
                    >
                      {sorted?.down ? (
                        <ArrowDown size={12} />
                      ) : (
                        <ArrowUp size={12} className={sorted ? '' : 'opacity-30'} />
                      )}
                    </button>
                  </>
                )}
              </div>
            )
          })}
        </div>
        <div
          role="rowgroup"
          className="relative w-max min-w-full"
          style={{ height: rows.getTotalSize() }}
        >
          {rows.getVirtualItems().map(({ index, start }) => (
            <div
              key={shown[index]}
              role="row"
              aria-rowindex={index + 2}
              className="absolute inset-x-0 grid"
              style={{ top: start, height: ROW_HEIGHT, gridTemplateColumns: template }}
            >
              {table.rows[shown[index] ?? -1]?.map((value, column) => (
                <Cell
                  // biome-ignore lint/suspicious/noArrayIndexKey: cells are known by position only
                  key={column}
                  row={index}
                  column={column}
                  value={value}
                  here={cursor.row === index && cursor.column === column}
                  editing={cursor.row === index && cursor.column === column ? editing : null}
                  onSelect={select}
                  onEdit={setEditing}
                  onLeave={commit}
                />
              ))}
            </div>
          ))}
        </div>
        {shown.length === 0 ? (
          <p className="p-3 font-sans text-soft">
            {table.rows.length ? 'No row matches the filter.' : 'No rows yet. Add one above.'}
          </p>
        ) : null}
      </div>
    </>
  )
}

interface CellProps {
  row: number
  column: number
  value: string
  here: boolean
  editing: string | null
  onSelect(row: number, column: number): void
  onEdit(value: string): void
  onLeave(value: string): void
}

const Cell = memo(
  function Cell({ row, column, value, here, editing, onSelect, onEdit, onLeave }: CellProps) {
    return (
      <div
        role="gridcell"
        data-cell={`${row}:${column}`}
        {...(here && row >= 0 && { 'data-autofocus': '' })}
        tabIndex={here ? 0 : -1}
        className="flex items-center overflow-hidden border-seam border-r border-b px-2 focus-visible:outline-offset-[-2px]"
        onFocus={() => onSelect(row, column)}
        onDoubleClick={() => onEdit(value)}
      >
        {editing !== null ? (
          <CellInput value={editing} onLeave={onLeave} />
        ) : (
          <span className="truncate">{value}</span>
        )}
      </div>
    )
  },
  // A cell the cursor is not on has no use for newer handlers.
  (a, b) => a.value === b.value && a.row === b.row && !a.here && !b.here,
)

function CellInput({ value, onLeave }: { value: string; onLeave(value: string): void }) {
  const [typed, setTyped] = useState(value)
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => input.current?.focus(), [])
  return (
    <input
      ref={input}
      aria-label="Cell"
      className="w-full min-w-0 bg-transparent outline-none"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => onLeave(typed)}
    />
  )
}

/** The cell something happened in; the header takes nothing. */
function cellOf(target: EventTarget): { row: number; column: number } | null {
  const at = (target as HTMLElement).closest<HTMLElement>('[data-cell]')?.dataset.cell
  const [row = -1, column = 0] = at?.split(':').map(Number) ?? []
  return row >= 0 ? { row, column } : null
}
