'use client'
import { DataGrid, type DataGridHandle, type SortColumn } from 'react-data-grid'
import 'react-data-grid/lib/styles.css'
import { type RefObject, useEffect, useMemo, useRef, useState } from 'react'
import { usePassage } from '@/store/documents/passages'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { toBlock } from './clipboard'
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
import { type Edits, press } from './keys'
import { Surface } from './Surface'
import { Tools } from './Tools'
import { type Place, useSelection } from './useSelection'
import { useTable } from './useTable'

const ROW_HEIGHT = 27

export default function Table({ document: id }: AppProps) {
  const table = useShownContent(TABLE, id)
  return table ? <Grid id={id} table={table} /> : null
}

function Grid({ id, table }: { id: string; table: TableContent }) {
  const grid = useRef<DataGridHandle>(null)
  const [editing, setEditing] = useState(false)
  const { change, view, type, typed, undo, redo, canUndo, canRedo } = useTable(id, table)
  const shown = useShown(table, editing)
  const rows = useMemo(
    () => shown.map((at, index): Row => ({ at, index, cells: table.rows[at] ?? [] })),
    [shown, table.rows],
  )
  const selection = useSelection(grid, { rows: rows.length, columns: table.columns.length })
  const { active, range, many, goTo } = selection
  const inRange = shown.slice(Math.max(0, range.top), range.bottom + 1)
  const [area, width] = useWidth()
  useFoundCell(id, area, rows, goTo)
  const columns = useColumns({
    table,
    width,
    range: many ? range : null,
    edit: {
      onType: (at, column, value) => type(setCell(table, at, column, value)),
      onEditing: setEditing,
      onLeave: typed,
    },
    onRename: (column, name) => change(renameColumn(table, column, name)),
  })
  const edits: Edits = {
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
  const empty = () => change(fill(table, inRange, range.left, range.right, ''))
  /** From the last row one comes to a new one. */
  const leave = (to: Place | null) => {
    if (!to) return typed(false)
    if (to.row === rows.length) {
      typed(true)
      type(addRow(table, table.rows.length - 1))
      typed(true)
    }
    goTo(to)
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
      <Surface
        area={area}
        hasRows={rows.length > 0}
        editing={editing}
        selection={selection}
        cells={() => inRange.map((at) => table.rows[at]?.slice(range.left, range.right + 1) ?? [])}
        onEmpty={empty}
        onPut={put}
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
          sortColumns={sorted(table.sort)}
          onSortColumnsChange={([sort]) => view({ ...table, sort: sortOf(sort) })}
          onCellMouseDown={({ rowIdx, column }, event) => {
            if (!event.shiftKey || editing) return
            event.preventGridDefault()
            selection.extend({ row: rowIdx, column: column.idx })
          }}
          onCellKeyDown={(args, event) => press({ edits, selection, empty, leave }, args, event)}
          onActivePositionChange={({ rowIdx, column }) => selection.moved(rowIdx, column?.idx)}
          renderers={{ noRowsFallback: <NoRows filtered={table.rows.length > 0} /> }}
        />
      </Surface>
    </>
  )
}

const NoRows = ({ filtered }: { filtered: boolean }) => (
  <p className="p-3 font-sans text-soft">
    {filtered ? 'No row matches the filter.' : 'No rows yet. Ctrl+Enter adds one.'}
  </p>
)

/** How the grid says what the rows are sorted by. */
const sorted = (sort: TableContent['sort']): SortColumn[] =>
  sort ? [{ columnKey: String(sort.column), direction: sort.down ? 'DESC' : 'ASC' }] : []

const sortOf = (sort: SortColumn | undefined): TableContent['sort'] =>
  sort ? { column: Number(sort.columnKey), down: sort.direction === 'DESC' } : null

/** Goes to the first cell with what was looked for, where the table has the focus. */
function useFoundCell(
  id: string,
  area: RefObject<HTMLElement | null>,
  rows: Row[],
  goTo: (to: Place) => void,
): void {
  usePassage(id, (text) => {
    // Only what has the focus goes to a cell and stays there.
    if (!area.current?.contains(document.activeElement)) return false
    const sought = text.toLowerCase()
    const has = (cell: string) => cell.toLowerCase().includes(sought)
    const row = rows.findIndex(({ cells }) => cells.some(has))
    if (row >= 0) goTo({ row, column: rows[row]?.cells.findIndex(has) ?? 0 })
    return row >= 0
  })
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
