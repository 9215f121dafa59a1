import { useRef, useState } from 'react'
import { changeContent, discardDraft, keptContent } from '@/store/documents/documents'
import { useShelf } from '@/store/useShelf'
import { asContent } from '../contents'
import { TABLE, type TableContent } from './content'

/** How many changes can be taken back. */
const PAST_MOST = 200

interface Past {
  before: TableContent[]
  after: TableContent[]
}

/**
 * A table and its changes: each is kept at once as a draft and can be taken back and done again.
 * What is typed into a cell is kept letter by letter, and is one change when the cell is left.
 */
export function useTable(id: string, table: TableContent) {
  const shelf = useShelf()
  const [past, setPast] = useState<Past>({ before: [], after: [] })
  // Before the first letter that was typed into a cell, while it is.
  const typedOver = useRef<TableContent | null>(null)
  const keep = (next: TableContent) => {
    const saved = keptContent(shelf, id)?.saved
    // What is as it was saved needs no saving.
    if (saved && sameCells(asContent(TABLE, saved), next)) discardDraft(shelf, id)
    else changeContent(shelf, id, next, 'draft')
  }
  const remember = (before: TableContent) =>
    setPast((now) => ({ before: [...now.before.slice(1 - PAST_MOST), before], after: [] }))
  return {
    canUndo: past.before.length > 0,
    canRedo: past.after.length > 0,
    change(next: TableContent) {
      if (next === table) return
      remember(table)
      keep(next)
    },
    /** Sorting and filtering change how the table is looked at, not what is in it. */
    view: (next: TableContent) => changeContent(shelf, id, next, 'look'),
    type(next: TableContent) {
      typedOver.current ??= table
      keep(next)
    },
    /** The cell is left; what was typed is taken back where it is not wanted. */
    typed(wanted: boolean) {
      const before = typedOver.current
      typedOver.current = null
      if (!before) return
      if (wanted) remember(before)
      else keep(before)
    },
    undo() {
      const before = past.before.at(-1)
      if (!before) return
      setPast({ before: past.before.slice(0, -1), after: [...past.after, table] })
      keep(before)
    },
    redo() {
      const after = past.after.at(-1)
      if (!after) return
      setPast({ before: [...past.before, table], after: past.after.slice(0, -1) })
      keep(after)
    },
  }
}

/** Whether two tables hold the same, however they are looked at. */
function sameCells(a: TableContent, b: TableContent): boolean {
  if (a.rows.length !== b.rows.length || a.columns.length !== b.columns.length) return false
  return (
    a.columns.every((name, at) => name === b.columns[at]) &&
    a.rows.every((cells, at) => {
      const others = b.rows[at]
      return cells === others || cells.every((cell, column) => cell === others?.[column])
    })
  )
}
