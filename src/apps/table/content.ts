import { array, number, object, string } from 'yup'
import { type Contents, flag, rows, text } from '../contents'

/** Content of a table: the names of its columns, and rows of as many cells. */
export interface TableContent {
  columns: string[]
  rows: string[][]
  sort?: { column: number; down: boolean } | null
  filter?: string
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
}

export const TABLE: Contents<TableContent> = {
  shape: object({
    columns: array(text()).required().max(2000),
    rows: rows(),
    sort: object({ column: number().integer().min(0).required(), down: flag().required() })
      .nullable()
      .default(undefined),
    filter: string(),
    encoding: string(),
  }),
  empty: { columns: ['A', 'B', 'C'], rows: Array.from({ length: 4 }, () => ['', '', '']) },
}
