import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import type { Sheet } from '@/core/formula/sheet'
import type { Forms } from '@/core/formula/value'
import { type Asked, NOTHING, patternOf } from '@/parts/finding'
import type { TableContent } from './content'
import { putCells } from './edits'
import { textAt } from './looking'
import type { Place, Selection } from './useSelection'

/** So many cells are told as found; who finds more looks for something else. */
const MOST = 10_000

/** What is found in the cells on screen, row by row. */
export function useFinding(
  table: TableContent,
  shown: number[],
  { sheet, forms }: { sheet: Sheet; forms: Forms },
  { active, lookAt }: Pick<Selection, 'active' | 'lookAt'>,
  change: (table: TableContent) => void,
) {
  const [open, setOpen] = useState(false)
  const [asked, setAsked] = useState<Asked>(NOTHING)
  const sought = useDeferredValue(asked)
  const places = useMemo(() => {
    const pattern = open ? patternOf(sought) : null
    const found: Place[] = []
    if (!pattern) return found
    for (const [row, at] of shown.entries()) {
      for (let column = 0; column < table.columns.length; column++) {
        pattern.lastIndex = 0
        if (pattern.test(textAt(table, sheet, forms, at, column))) found.push({ row, column })
      }
      if (found.length >= MOST) break
    }
    return found
  }, [open, sought, table, shown, sheet, forms])
  // What is asked for is gone to from the cell one is at.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when something else is asked for
  useEffect(() => {
    const to = places.find((place) => order(place, active) >= 0) ?? places[0]
    if (to) lookAt(to)
  }, [sought, open])
  const at = places.findIndex((place) => same(place, active))
  const rawly = (place: Place): { row: number; column: number; value: string } | null => {
    const row = shown[place.row]
    const pattern = patternOf(asked)
    const cell = row === undefined ? undefined : table.rows[row]?.[place.column]
    if (row === undefined || cell === undefined || !pattern) return null
    // What is worked out is changed in its formula, if it stands there.
    const value = cell.replace(pattern, () => asked.instead)
    return value === cell ? null : { row, column: place.column, value }
  }
  const step = (by: 1 | -1) => {
    const next =
      by > 0
        ? places.find((place) => order(place, active) > 0)
        : places.findLast((place) => order(place, active) < 0)
    const to = next ?? places.at(by > 0 ? 0 : -1)
    if (to) lookAt(to)
  }
  const put = (where: Place[]) =>
    change(
      putCells(
        table,
        where.flatMap((one) => rawly(one) ?? []),
      ),
    )
  return {
    open,
    show: () => setOpen(true),
    hide: () => setOpen(false),
    asked,
    ask: setAsked,
    count: { at: at + 1, of: places.length },
    step,
    replaceOne: () => {
      const here = places[at]
      if (here) put([here])
      step(1)
    },
    replaceAll: () => put(places),
  }
}

const order = (a: Place, b: Place): number => a.row - b.row || a.column - b.column
const same = (a: Place, b: Place): boolean => order(a, b) === 0
