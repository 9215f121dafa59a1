import { array, number, object, string } from 'yup'
import { type Contents, flag, rows, text } from '../contents'
import type { Manner } from './manner'

/** Content of a table: the names of its columns, and rows of as many cells. */
export interface TableContent {
  columns: string[]
  rows: string[][]
  sort?: { column: number; down: boolean } | null
  filter?: string
  /** Widths of the columns given by hand, in CSS pixels; 0 where none was. */
  widths?: number[]
  /** Whether the first column stays in sight. */
  firstStays?: boolean
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
  manner?: Manner
}

export const TABLE: Contents<TableContent> = {
  shape: object({
    columns: array(text()).required().max(2000),
    rows: rows(),
    sort: object({ column: number().integer().min(0).required(), down: flag().required() })
      .nullable()
      .default(undefined),
    filter: string(),
    widths: array(number().min(0).max(4000).required()).default(undefined),
    firstStays: flag(),
    encoding: string(),
    manner: object({
      separator: string().max(1),
      bare: flag(),
      quoted: flag(),
      open: flag(),
    }).default(undefined),
  }),
  empty: { columns: ['A', 'B', 'C'], rows: Array.from({ length: 4 }, () => ['', '', '']) },
}
