import { useEffect, useMemo, useRef, useState } from 'react'
import type { Column } from 'react-data-grid'
import type { TableContent } from './content'
import { EditCell } from './EditCell'
import { type Cells, widths } from './edits'

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

/** The columns of a table as the grid takes them. */
export function useColumns({
  table,
  width,
  range,
  edit,
  onRename,
}: {
  table: TableContent
  /** Of the grid, in CSS pixels. */
  width: number
  range: Cells | null
  edit: Editing
  onRename(column: number, name: string): void
}): Column<Row>[] {
  const room = useMemo(() => widths(table), [table])
  const roomOf = (column: number) => Math.round(Math.min(room[column] ?? 7, 30) * LETTER + BESIDE)
  // What is left goes to the one that wants most.
  const widest = room.indexOf(Math.max(...room))
  const wanted = room.reduce((sum, _, column) => sum + roomOf(column), 0)
  return table.columns.map((name, column) => ({
    key: String(column),
    name,
    width: roomOf(column) + (column === widest ? Math.max(0, width - wanted) : 0),
    resizable: true,
    sortable: true,
    editable: true,
    editorOptions: { closeOnExternalRowChange: false },
    cellClass: ({ index }) =>
      range &&
      column >= range.left &&
      column <= range.right &&
      index >= range.top &&
      index <= range.bottom
        ? 'in-range'
        : undefined,
    renderCell: ({ row }) => (row.cells[column] ?? '').slice(0, SHOWN),
    renderHeaderCell: ({ sortDirection }) => (
      <HeaderName
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
  }))
}

/** The name of a column; a double click, or F2, types over it. */
function HeaderName({
  name,
  sorted,
  onRename,
}: {
  name: string
  sorted: 'ASC' | 'DESC' | undefined
  onRename(name: string): void
}) {
  const [typing, setTyping] = useState(false)
  const place = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    const cell = place.current?.closest('[role="columnheader"]')
    const listen = (event: Event) => {
      if (event instanceof KeyboardEvent && event.key !== 'F2') return
      event.preventDefault()
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
          <span className="truncate">{name}</span>
          <span aria-hidden className="ml-auto text-[10px]">
            {sorted === 'ASC' ? '▲' : sorted === 'DESC' ? '▼' : ''}
          </span>
        </>
      )}
    </span>
  )
}
