import { useEffect, useMemo, useRef, useState } from 'react'
import type { Column } from 'react-data-grid'
import type { Sheet } from '@/core/formula/sheet'
import { lettersOf } from '@/core/formula/tokens'
import type { Forms } from '@/core/formula/value'
import type { TableContent } from './content'
import { EditCell } from './EditCell'
import { type Cells, widths } from './edits'
import { textAt } from './looking'

/** About how wide a letter is, and the room beside it, in CSS pixels. */
const LETTER = 7.6
const BESIDE = 20

/** So much of a cell is drawn: one line shows no more of it, in characters. */
const SHOWN = 400

/** A row on screen: its place among all rows, and its place among those shown. */
export interface Row {
  at: number
  index: number
  cells: string[]
}

interface Editing {
  onType(row: number, column: number, value: string): void
  onEditing(editing: boolean): void
  onLeave(wanted: boolean): void
}

/** The columns of a table as the grid takes them, after one with the numbers of the rows. */
export function useColumns({
  table,
  sheet,
  forms,
  width,
  range,
  edit,
  onRename,
}: {
  table: TableContent
  sheet: Sheet
  forms: Forms
  /** Of the grid, in CSS pixels. */
  width: number
  range: Cells | null
  edit: Editing
  /** @param name null where only the double click is told, which began with a sorting push */
  onRename(column: number, name: string | null): void
}): Column<Row>[] {
  const room = useMemo(() => widths(table), [table])
  const own = table.widths
  const roomOf = (column: number) =>
    own?.[column] || Math.round(Math.min(room[column] ?? 7, 30) * LETTER + BESIDE)
  // What is left goes to the one that wants most, but for those that have a width of their own.
  const widest = own?.some(Boolean) ? -1 : room.indexOf(Math.max(...room))
  const numbers = String(table.rows.length).length * LETTER + 18
  const wanted = room.reduce((sum, _, column) => sum + roomOf(column), numbers)
  const inRange = (column: number, { index }: Row) =>
    range &&
    column >= range.left &&
    column <= range.right &&
    index >= range.top &&
    index <= range.bottom
  const kind = (column: number, { at }: Row): string => {
    const worked = sheet.at(at, column)
    if ('problem' in worked) return 'cell-problem'
    return typeof worked.value === 'string' ? '' : 'cell-figure'
  }
  const columns = table.columns.map(
    (name, column): Column<Row> => ({
      key: String(column),
      name,
      width: roomOf(column) + (column === widest ? Math.max(0, width - wanted) : 0),
      resizable: true,
      sortable: true,
      editable: true,
      frozen: column === 0 && table.firstStays === true,
      editorOptions: { closeOnExternalRowChange: false },
      cellClass: (row) => `${kind(column, row)} ${inRange(column, row) ? 'in-range' : ''}`,
      renderCell: ({ row }) => textAt(table, sheet, forms, row.at, column).slice(0, SHOWN),
      renderHeaderCell: ({ sortDirection }) => (
        <HeaderName
          letters={lettersOf(column)}
          name={name}
          sorted={sortDirection}
          onRename={(typed) => onRename(column, typed)}
        />
      ),
      renderEditCell: ({ row, onClose }) => (
        <EditCell
          // The row it began with is not the row as it is typed.
          value={table.rows[row.at]?.[column] ?? ''}
          onType={(value) => edit.onType(row.at, column, value)}
          onEditing={edit.onEditing}
          onLeave={edit.onLeave}
          onClose={() => onClose(true, false)}
        />
      ),
    }),
  )
  return [{ ...ROW_NUMBERS, width: numbers }, ...columns]
}

const ROW_NUMBERS: Column<Row> = {
  key: 'numbers',
  name: '',
  frozen: true,
  minWidth: 20,
  cellClass: 'row-number',
  renderHeaderCell: () => <span className="sr-only">Rows</span>,
  renderCell: ({ row: { at } }) => (
    <>
      <span className="sr-only">row </span>
      {at + 1}
    </>
  ),
}

/** The name of a column; a double click, or F2, types over it. */
function HeaderName({
  letters,
  name,
  sorted,
  onRename,
}: {
  /** What formulas call it. */
  letters: string
  name: string
  sorted: 'ASC' | 'DESC' | undefined
  onRename(name: string | null): void
}) {
  const [typing, setTyping] = useState(false)
  const place = useRef<HTMLSpanElement>(null)
  const renames = useRef(onRename)
  renames.current = onRename
  useEffect(() => {
    const cell = place.current?.closest('[role="columnheader"]')
    const listen = (event: Event) => {
      if (event instanceof KeyboardEvent && event.key !== 'F2') return
      event.preventDefault()
      if (event.type === 'dblclick') renames.current(null)
      setTyping(true)
    }
    cell?.addEventListener('keydown', listen)
    cell?.addEventListener('dblclick', listen)
    return () => {
      cell?.removeEventListener('keydown', listen)
      cell?.removeEventListener('dblclick', listen)
    }
  }, [])
  return (
    <span ref={place} className="flex h-full items-center gap-1" title={`Sort by ${name}`}>
      {typing ? (
        <input
          aria-label="Name of the column"
          className="w-full min-w-0 bg-transparent outline-none"
          defaultValue={name}
          // biome-ignore lint/a11y/noAutofocus: it was asked for
          autoFocus
          onFocus={(event) => event.target.select()}
          onClick={(event) => event.stopPropagation()}
          onKeyDown={(event) => {
            event.stopPropagation()
            if (event.key === 'Escape') event.currentTarget.value = name
            if (event.key === 'Enter' || event.key === 'Escape')
              event.currentTarget.closest<HTMLElement>('[role="columnheader"]')?.focus()
          }}
          onBlur={(event) => {
            setTyping(false)
            onRename(event.target.value)
          }}
        />
      ) : (
        <>
          {letters === name ? null : (
            <span className="shrink-0 font-mono font-normal text-[10px]">{letters}</span>
          )}
          <span className="truncate">{name}</span>
          <span aria-hidden className="ml-auto text-[10px]">
            {sorted === 'ASC' ? '▲' : sorted === 'DESC' ? '▼' : ''}
          </span>
        </>
      )}
    </span>
  )
}
