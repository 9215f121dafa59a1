import { array, lazy, mixed, number, object, string } from 'yup'
import { counted } from '@/core/text/counted'
import { byKind, flag, text } from '../../contents'

/** What a job of one's own does with what is kept in the shelf. Documents are named by their ids. */
export type Work =
  | {
      kind: 'replace'
      text: string
      instead: string
      caseSensitive: boolean
      wholeWord: boolean
      documents: string[]
    }
  | { kind: 'join'; left: string; right: string; leftBy: string; rightBy: string }
  | { kind: 'sum'; table: string; column: string; by: string }
  | { kind: 'resize'; documents: string[]; most: number }

/** The longest side of a picture that is made smaller, in pixels. */
export const SIDE_LEAST = 16
export const SIDE_MOST = 8000

const KINDS = byKind({
  replace: object({
    text: string().required(),
    instead: text(),
    caseSensitive: flag().required(),
    wholeWord: flag().required(),
    documents: array(text()).required(),
  }),
  join: object({ left: text(), right: text(), leftBy: text(), rightBy: text() }),
  sum: object({ table: text(), column: text(), by: text() }),
  resize: object({
    documents: array(text()).required(),
    most: number().integer().min(SIDE_LEAST).max(SIDE_MOST).required(),
  }),
})

/** Jobs of the service have none. */
export const WORK = lazy((value: unknown) => (value === undefined ? mixed() : KINDS))

/** The documents a work reads. */
export function documentsOf(work: Work): string[] {
  switch (work.kind) {
    case 'join':
      return [...new Set([work.left, work.right])]
    case 'sum':
      return [work.table]
    default:
      return work.documents
  }
}

/** What a work is called in the list of jobs. */
export function nameOf(work: Work, titleOf: (id: string) => string): string {
  switch (work.kind) {
    case 'replace':
      return `Replace “${work.text}” with “${work.instead}”, ${counted(work.documents.length, 'file')}`
    case 'join':
      return `Join ${titleOf(work.left)} and ${titleOf(work.right)} by ${work.leftBy}`
    case 'sum':
      return `Sum of ${work.column}${work.by && ` by ${work.by}`}, ${titleOf(work.table)}`
    case 'resize':
      return `Resize ${counted(work.documents.length, 'picture')} to ${work.most} pixels`
  }
}
