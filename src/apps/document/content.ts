import { object, string } from 'yup'
import { type Contents, text } from '../contents'

/** What a document is called until it has a heading or is given a name. */
export const UNTITLED = 'New document'

/** Content of a document: Markdown. */
export interface DocumentContent {
  markdown: string
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
}

export const DOCUMENT: Contents<DocumentContent> = {
  shape: object({ markdown: text(), encoding: string() }),
  empty: { markdown: '' },
}
