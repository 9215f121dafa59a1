import type { KeyboardEvent } from 'react'
import { type Direction, nearest } from '@/core/geometry/direction'
import type { Shelf } from '@/store/shelf'
import { focusContent } from './focus'

/** Arrows walk through what a selector finds, round at its ends; Escape goes back to the window. */
export const walkAmong =
  (shelf: Shelf, selector: string) =>
  (event: KeyboardEvent): void => {
    const by = { ArrowDown: 1, ArrowUp: -1, ArrowRight: 1, ArrowLeft: -1 }[event.key]
    if (event.key === 'Escape') focusContent(shelf)
    if (!by) return
    const all = [...document.querySelectorAll<HTMLElement>(selector)]
    const at = all.indexOf(document.activeElement as HTMLElement)
    if (at < 0) return
    all[(at + by + all.length) % all.length]?.focus()
    event.preventDefault()
  }

/**
 * A step through the rack as it stands: from row to row, among marks to the nearest in that
 * direction, and from a name along the bows of its tail.
 */
export function walkRack(to: Direction): void {
  const here = rowOf(document.activeElement)
  if (here) (alongTail(here, to) ?? rowBeside(here, to))?.focus()
}

/** The row of the rack an element is in. */
export const rowOf = (element: Element | null): HTMLElement | null =>
  element?.closest<HTMLElement>('[data-desktop-row]') ?? null

function alongTail(row: HTMLElement, direction: Direction): HTMLElement | undefined {
  const by = { left: -1, right: 1, up: 0, down: 0 }[direction]
  const tail = row.querySelector<HTMLElement>('.tail')
  // In narrow rows the tail is only there to be read out.
  if (!by || !tail?.checkVisibility() || tail.clientWidth < SEEN) return undefined
  const all = [...row.querySelectorAll<HTMLElement>('[data-row-name], [data-bow], [data-more]')]
  return all[all.indexOf(document.activeElement as HTMLElement) + by]
}

/** What is narrower than this, in CSS pixels, is not seen. */
const SEEN = 8

function rowBeside(from: HTMLElement, direction: Direction): HTMLElement | null {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-desktop-row]')]
  const others = rows.filter((row) => row !== from)
  const at = from.getBoundingClientRect()
  const found = nearest(
    at,
    others.map((row) => inColumn(row.getBoundingClientRect(), at)),
    direction,
  )
  const round = { up: rows.at(-1), down: rows[0], left: undefined, right: undefined }[direction]
  const row = found === null ? round : others[found]
  return row?.querySelector<HTMLElement>('[data-row-name]') ?? null
}

/** A row that is as wide as several marks counts as straight above or below each of them. */
const inColumn = (row: DOMRect, from: DOMRect): DOMRect => {
  const over = row.left < from.right - 1 && row.right > from.left + 1
  return over ? new DOMRect(from.x, row.y, from.width, row.height) : row
}
