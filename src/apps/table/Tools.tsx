import { Columns3, ListFilter, Printer, Redo2, Rows3, Search, Trash2, Undo2 } from 'lucide-react'
import type { RefObject } from 'react'
import { useAppKeys } from '@/parts/inApp'
import { Tool } from '@/parts/Tool'
import type { TableContent } from './content'

interface Edits {
  addRow(): void
  addColumn(): void
  removeRows(): void
  removeColumns(): void
  undo(): void
  redo(): void
  find(): void
  print(): void
}

/** What can be done to rows and columns, and the filter, above the cells. */
export function Tools({
  table,
  shown,
  filter,
  onFilter,
  onLeaveFilter,
  edits,
  can,
}: {
  table: TableContent
  shown: number
  filter: RefObject<HTMLInputElement | null>
  onFilter(filter: string): void
  /** The keys go back to the cells. */
  onLeaveFilter(): void
  edits: Edits
  can: { undo: boolean; redo: boolean; removeRow: boolean }
}) {
  const keys = useAppKeys('Ctrl+/')
  return (
    <div className="bar" role="toolbar" aria-label="Table">
      <Tool label="Add a row below" keys="Ctrl+Enter" onClick={edits.addRow}>
        <Rows3 size={15} />+
      </Tool>
      <Tool label="Add a column at the right" keys="Ctrl+Shift+Enter" onClick={edits.addColumn}>
        <Columns3 size={15} />+
      </Tool>
      <Tool
        label="Remove these rows"
        keys="Ctrl+Backspace"
        disabled={!can.removeRow}
        onClick={edits.removeRows}
      >
        <Rows3 size={15} />
        <Trash2 size={12} />
      </Tool>
      <Tool
        label="Remove these columns"
        keys="Ctrl+Shift+Backspace"
        disabled={table.columns.length === 1}
        onClick={edits.removeColumns}
      >
        <Columns3 size={15} />
        <Trash2 size={12} />
      </Tool>
      <Tool label="Undo in this table" keys="Ctrl+Z" disabled={!can.undo} onClick={edits.undo}>
        <Undo2 size={15} />
      </Tool>
      <Tool
        label="Redo in this table"
        keys="Ctrl+Shift+Z"
        disabled={!can.redo}
        onClick={edits.redo}
      >
        <Redo2 size={15} />
      </Tool>
      <Tool label="Find and replace" keys="Ctrl+F" onClick={edits.find}>
        <Search size={15} />
      </Tool>
      <Tool label="Print" keys="Ctrl+P" onClick={edits.print}>
        <Printer size={15} />
      </Tool>
      <label className="ml-auto flex min-w-24 max-w-64 flex-1 items-center gap-1.5 text-soft">
        <ListFilter size={14} aria-hidden />
        <input
          ref={filter}
          title={`${keys ? `${keys}: a` : 'A'} text, or “${table.columns[0]}: text”, “${table.columns.at(-1)} > 5”`}
          className="min-w-0 flex-1 border-seam border-b border-dashed bg-transparent text-ink"
          aria-label="Filter rows"
          placeholder="filter"
          value={table.filter ?? ''}
          onChange={(event) => onFilter(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape' && table.filter) onFilter('')
            else if (event.key === 'Enter' || event.key === 'Escape' || event.key === 'ArrowDown')
              onLeaveFilter()
            else return
            event.preventDefault()
            event.stopPropagation()
          }}
        />
        {table.filter ? (
          <span className="font-mono text-[11px]">
            {shown}/{table.rows.length}
          </span>
        ) : null}
      </label>
    </div>
  )
}
