import type { ReaderContent } from '../../reader/content'
import type { TableContent } from '../../table/content'

/** What a work reads: a document with its app, and its content as it is on screen. */
export interface Input {
  id: string
  app: string
  title: string
  content: unknown
}

/** What comes out of a work: a table that tells it, documents with other words in them, new pictures. */
export interface Outcome {
  table: TableContent
  changed: { id: string; content: unknown }[]
  made: { title: string; content: ReaderContent }[]
}

/** How much is done, from 0 to 1, with a line for the log where there is something to tell; then what came out. */
export interface Step {
  share: number
  log?: string
  outcome?: Outcome
}

/** Says in a sentence why a work cannot be done. */
export class WorkProblem extends Error {}

export const tableOf = (columns: string[], rows: string[][]): Outcome => ({
  table: { columns, rows },
  changed: [],
  made: [],
})
