import { number, object, string } from 'yup'
import { byKind, type Contents, data, flag, text } from '../contents'

/** A PDF as a data address, with its words to be found and where it was looked at last. */
export interface PdfContent {
  kind: 'pdf'
  data: string
  text?: string
  page?: number
  zoom?: string
  /** Whether two pages stand side by side. */
  spread?: boolean
}

/** A text, as it is or in Markdown. */
export interface WrittenContent {
  kind: 'markdown' | 'text'
  text: string
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
}

/** Content of a reader: text, a picture as a data address, or a PDF. */
export type ReaderContent = WrittenContent | { kind: 'picture'; data: string } | PdfContent

export const READER: Contents<ReaderContent | null> = {
  shape: byKind({
    markdown: object({ text: text() }),
    text: object({ text: text(), encoding: string() }),
    picture: object({ data: data('image/') }),
    pdf: object({
      data: data('application/pdf'),
      text: string(),
      page: number().integer().min(1).max(1e6),
      zoom: string().max(40),
      spread: flag(),
    }),
  }),
  empty: null,
}
