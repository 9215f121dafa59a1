import { FormulaProblem } from './problem'
import type { CellPlace } from './tokens'
import { isDay, type Value } from './value'

/** What a formula is worked out among. */
export interface Scope {
  /** @throws FormulaProblem where there is no such cell, or what is in it comes to nothing */
  cell(place: CellPlace): Value
  /** How many rows and columns there are. */
  extent: { rows: number; columns: number }
  /** What a name stands for, where it stands for something. */
  name(name: string): Value | undefined
  /** The number of the day it is. */
  today: number
}

/** Stands in a formula where a cell was that has been removed. */
export const GONE = 'gone'

/**
 * A value as a number; what is empty is 0.
 * @throws FormulaProblem where it is a text
 */
export function asNumber(value: Value): number {
  if (typeof value === 'number') return value
  if (typeof value === 'boolean') return Number(value)
  if (isDay(value)) return value.day
  if (value.trim() === '') return 0
  throw new FormulaProblem(
    `“${value.length > 20 ? `${value.slice(0, 20)}…` : value}” is not a number`,
  )
}

export const asText = (value: Value): string =>
  typeof value === 'boolean'
    ? value
      ? 'yes'
      : 'no'
    : isDay(value)
      ? String(value.day)
      : String(value)

/** @throws FormulaProblem where it is no number that can be written */
export function finite(value: number): number {
  if (Number.isNaN(value)) throw new FormulaProblem('there is no result')
  if (!Number.isFinite(value)) throw new FormulaProblem('the result is too large')
  return value
}
