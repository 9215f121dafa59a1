'use client'
import { DataGrid, type DataGridHandle, type SortColumn } from 'react-data-grid'
import 'react-data-grid/lib/styles.css'
import { type RefObject, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { DocumentId, WindowId } from '@/core/model/ids'
import { FindBar } from '@/parts/FindBar'
import { useAppKeys } from '@/parts/inApp'
import { usePassage } from '@/store/documents/passages'
import { useFindable } from '@/store/finding'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { useForms } from '../useForms'
import { actsOn } from './acts'
import { CellMenu } from './CellMenu'
import type { CopiedCells } from './clipboard'
import { type Row, useColumns } from './columns'
import { TABLE, type TableContent } from './content'
import { addRow, fill, renameColumn, setCell } from './edits'
import { Figures } from './Figures'
import { press } from './keys'
import { edgeOf, textAt } from './looking'
import { copiedFrom, filledWith, isSingle, pasted } from './pasting'
import { printTable } from './print'
import { Surface } from './Surface'
import { Tools } from './Tools'
import { useFinding } from './useFinding'
import { NUMBERS, type Place, useSelection } from './useSelection'
import { useSheet, useShown } from './useShown'
import { useTable } from './useTable'

const ROW_HEIGHT = 27

export default function Table({ document: id, window }: AppProps) {
  const table = useShownContent(TABLE, id)
  return table ? <Grid id={id} window={window} table={table} /> : null
}

function Grid({ id, window, table }: { id: DocumentId; window: WindowId; table: TableContent }) {
  const shelf = useShelf()
  const grid = useRef<DataGridHandle>(null)
  const filter = useRef<HTMLInputElement>(null)
  const [editing, setEditing] = useState(false)
  // The row that is typed into, by its place on screen: until it is left, no row moves.
  const [typedRow, setTypedRow] = useState<number | null>(null)
  const { change, view: look, type, typed, undo, redo, canUndo, canRedo } = useTable(id, table)
  const view = (next: TableContent) => {
    setTypedRow(null)
    look(next)
  }
  const forms = useForms()
  const sheet = useSheet(table, forms)
  // What is typed into the filter does not wait for the rows.
  const sought = useDeferredValue(table.filter)
  const shown = useShown({ ...table, filter: sought }, sheet, forms, editing || typedRow !== null)
  const rows = useMemo(
    () => shown.map((at, index): Row => ({ at, index, cells: table.rows[at] ?? [] })),
    [shown, table.rows],
  )
  const extent = { rows: rows.length, columns: table.columns.length }
  const selection = useSelection(grid, extent)
  const { active, range, many, goTo } = selection
  const inRange = shown.slice(Math.max(0, range.top), range.bottom + 1)
  const finding = useFinding(table, shown, { sheet, forms }, selection, change)
  useFindable(window, finding.show)
  const [area, width] = useWidth()
  useFoundCell(id, area, rows, goTo)
  const sorting = useSorting(table, view)
  const columns = useColumns({
    table,
    sheet,
    forms,
    width,
    range: many ? range : null,
    edit: {
      onType: (at, column, value) => {
        setTypedRow(active.row)
        type(setCell(table, at, column, value))
      },
      onEditing: setEditing,
      onLeave: typed,
    },
    onRename: (column, name) =>
      name === null ? sorting.back() : change(renameColumn(table, column, name)),
  })
  const acts = actsOn(table, {
    shown,
    selection,
    change,
    view,
    textAt: (at, column) => textAt(table, sheet, forms, at, column),
  })
  const edits = {
    ...acts,
    addRow: acts.rowBelow,
    addColumn: acts.columnRight,
    find: finding.show,
    print: () =>
      printTable(table, shown, { sheet, forms }, shelf.state().documents[id]?.title ?? ''),
    filter: () => filter.current?.select(),
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
  const put = (copied: CopiedCells, at: Place, over: boolean) => {
    if (at.row < 0) return
    change(
      over && isSingle(copied)
        ? filledWith(table, inRange, range, copied)
        : pasted(table, shown, at, copied),
    )
    goTo({ row: at.row, column: Math.max(0, at.column) })
  }
  return (
    <>
      <Tools
        table={table}
        shown={shown.length}
        filter={filter}
        onFilter={(text) => view({ ...table, filter: text })}
        onLeaveFilter={() => area.current?.focus()}
        edits={edits}
        can={{ undo: canUndo, redo: canRedo, removeRow: inRange.length > 0 }}
      />
      {finding.open ? (
        <FindBar
          label="Find in this table"
          asked={finding.asked}
          onAsk={finding.ask}
          count={finding.count}
          onStep={finding.step}
          onClose={() => {
            finding.hide()
            area.current?.focus()
          }}
          replace={{ one: finding.replaceOne, all: finding.replaceAll }}
        />
      ) : null}
      <CellMenu firstStays={table.firstStays === true} acts={acts}>
        <Surface
          area={area}
          hasRows={rows.length > 0}
          editing={editing}
          selection={selection}
          cells={() => ({
            shown: inRange.map((at) =>
              span(range.left, range.right, (column) => textAt(table, sheet, forms, at, column)),
            ),
            copied: copiedFrom(table, inRange, range),
          })}
          onEmpty={empty}
          onPut={put}
          onFind={finding.show}
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
            // Else Ctrl+V would type into the cell.
            onCellPaste={({ row }) => row}
            sortColumns={sorted(table.sort)}
            onSortColumnsChange={([sort]) => sorting.by(sortOf(sort))}
            onColumnResize={({ idx }, size) =>
              view({ ...table, widths: widthsWith(table, idx - NUMBERS, size) })
            }
            onCellMouseDown={({ rowIdx, column }, event) => {
              if (!event.shiftKey || editing) return
              event.preventGridDefault()
              selection.extend({ row: rowIdx, column: column.idx - NUMBERS })
            }}
            onCellKeyDown={(args, event) =>
              press(
                {
                  edits,
                  selection,
                  empty,
                  leave,
                  edge: (step) => edgeOf(table, shown, active, step),
                  extent,
                },
                args,
                event,
              )
            }
            onActivePositionChange={({ rowIdx, column }) => {
              if (rowIdx !== typedRow) setTypedRow(null)
              selection.moved(rowIdx, column?.idx)
            }}
            renderers={{ noRowsFallback: <NoRows filtered={table.rows.length > 0} /> }}
          />
        </Surface>
      </CellMenu>
      <Figures
        table={table}
        shown={shown}
        sheet={sheet}
        forms={forms}
        active={active}
        range={range}
      />
    </>
  )
}

/** One of something for each place from one to another. */
const span = <T,>(from: number, to: number, of: (at: number) => T): T[] =>
  Array.from({ length: to - from + 1 }, (_, at) => of(from + at))

/** How soon after a push a second one makes it a double one, in milliseconds. */
const DOUBLE = 700

/** Sorting by a push on a header; a double push, which gives it another name, sorts nothing. */
function useSorting(table: TableContent, view: (table: TableContent) => void) {
  const pushed = useRef({ at: 0, before: table.sort ?? null })
  return {
    by(sort: TableContent['sort']) {
      const now = performance.now()
      if (now - pushed.current.at > DOUBLE) pushed.current = { at: now, before: table.sort ?? null }
      view({ ...table, sort })
    },
    back() {
      view({ ...table, sort: pushed.current.before })
    },
  }
}

const widthsWith = ({ columns, widths }: TableContent, column: number, size: number): number[] =>
  columns.map((_, at) => (at === column ? Math.round(size) : (widths?.[at] ?? 0)))

function NoRows({ filtered }: { filtered: boolean }) {
  const keys = useAppKeys('Ctrl+Enter')
  return (
    <p className="p-3 font-sans text-soft">
      {filtered ? 'No row matches the filter.' : `No rows yet.${keys ? ` ${keys} adds one.` : ''}`}
    </p>
  )
}

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
