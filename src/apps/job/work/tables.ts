import type { Forms } from '@/core/formula/value'
import { TABLE, type TableContent } from '../../table/content'
import { workedOut } from '../../table/toCsv'
import { type Input, WorkProblem } from './outcome'

/** How numbers are written here, and when it is, in milliseconds since 1970. */
export interface Reading {
  forms: Forms
  now: number
}

/** A table with what its formulas come to. */
export const worked = (input: Input | undefined, { forms, now }: Reading): TableContent =>
  workedOut((input?.content as TableContent | null | undefined) ?? TABLE.empty, now, forms)

/** @throws WorkProblem when it has no such column any more */
export function columnOf({ columns }: TableContent, name: string): number {
  const at = columns.indexOf(name)
  if (at < 0) throw new WorkProblem(`There is no column “${name}” any more.`)
  return at
}
