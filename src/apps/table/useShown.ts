import { useMemo, useRef } from 'react'
import type { Sheet } from '@/core/formula/sheet'
import type { Forms } from '@/core/formula/value'
import { useShelf } from '@/store/useShelf'
import type { TableContent } from './content'
import { sheetOf, shownRows } from './looking'

/** What the cells of a table come to. */
export function useSheet({ rows, columns }: TableContent, forms: Forms): Sheet {
  const shelf = useShelf()
  return useMemo(
    () => sheetOf({ rows, columns }, forms, shelf.clock()),
    [rows, columns, forms, shelf],
  )
}

interface Last {
  sheet: Sheet
  sort: TableContent['sort']
  filter: string | undefined
  columns: string[]
  /** How many rows there were in all. */
  count: number
  shown: number[]
}

/**
 * The rows on screen.
 * @param hold while a row is typed into, all stay where they are, however they sort
 */
export function useShown(table: TableContent, sheet: Sheet, forms: Forms, hold: boolean): number[] {
  const { rows, columns, sort, filter } = table
  const last = useRef<Last | null>(null)
  const now = last.current
  const looked =
    now !== null && now.sort === sort && now.filter === filter && now.columns === columns
  // A row that was added meanwhile is shown all the same.
  if (looked && (now.sheet === sheet || (hold && now.count === rows.length))) return now.shown
  const shown = shownRows(table, sheet, forms)
  last.current = { sheet, sort, filter, columns, count: rows.length, shown }
  return shown
}
