import { type RefObject, useLayoutEffect, useRef, useState } from 'react'
import type { DataGridHandle } from 'react-data-grid'
import type { Cells } from './edits'

/** The grid’s first column is that of the row numbers: those of the table come after it. */
export const NUMBERS = 1

/** A place on screen: row -1 is the header, column -1 the number of a row, which stands for all of it. */
export interface Place {
  row: number
  column: number
}

/** How many rows are shown, and how many columns there are. */
export interface Extent {
  rows: number
  columns: number
}

/** The active cell and the range that ends at it. */
export function useSelection(grid: RefObject<DataGridHandle | null>, extent: Extent) {
  const [active, setActive] = useState<Place>({ row: 0, column: 0 })
  // Where a range begins.
  const [anchor, setAnchor] = useState<Place | null>(null)
  const extending = useRef(false)
  const wanted = useRef<Place | null>(null)
  const show = ({ row, column }: Place, shouldFocus = true) =>
    grid.current?.setActivePosition({ rowIdx: row, idx: column + NUMBERS }, { shouldFocus })
  // A cell that is only there after the change is gone to then, before the next key comes.
  useLayoutEffect(() => {
    const to = wanted.current
    if (!to || to.row >= extent.rows || to.column >= extent.columns) return
    wanted.current = null
    show(to)
  })
  const extend = (to: Place, from = anchor ?? active) => {
    setAnchor(from)
    extending.current = true
    setActive(to)
    show(to)
  }
  return {
    active,
    /** Whether more than the active cell is chosen. */
    many: anchor !== null || active.column < 0,
    range: rangeOf(active, anchor, extent.columns),
    goTo: (to: Place) => {
      wanted.current = to
      setActive(to)
    },
    /** Shows a cell as the one that one is at; the keys stay where they are. */
    lookAt: (to: Place) => {
      setActive(to)
      show(to, false)
    },
    extend: (to: Place) => extend(to),
    all: () => extend({ row: extent.rows - 1, column: extent.columns - 1 }, { row: 0, column: 0 }),
    /** By so many rows and columns, as far as there are some. */
    extendBy: ([rows, columns]: readonly [number, number]) =>
      extend({
        row: within(active.row + rows, extent.rows),
        column: active.column < 0 ? -1 : within(active.column + columns, extent.columns),
      }),
    /** Gives the keys to the active cell, or the nearest there is. */
    focus: () =>
      show({
        row: within(active.row, extent.rows),
        column: Math.max(-1, Math.min(active.column, extent.columns - 1)),
      }),
    /** The grid went to a cell of its own counting. */
    moved: (row: number, index: number | undefined) => {
      if (extending.current) extending.current = false
      else setAnchor(null)
      if (index !== undefined) setActive({ row, column: index - NUMBERS })
    },
  }
}

export type Selection = ReturnType<typeof useSelection>

const within = (at: number, count: number): number => Math.max(0, Math.min(at, count - 1))

function rangeOf(active: Place, anchor: Place | null, columns: number): Cells {
  const other = anchor ?? active
  const whole = active.column < 0 || other.column < 0
  return {
    top: Math.min(active.row, other.row),
    left: whole ? 0 : Math.min(active.column, other.column),
    bottom: Math.max(active.row, other.row),
    right: whole ? columns - 1 : Math.max(active.column, other.column),
  }
}
