import { object } from 'yup'
import { type Contents, text } from '../contents'

/** Content of a sheet of sums: what was typed, line by line. */
export interface SumsContent {
  text: string
}

export const SUMS: Contents<SumsContent> = {
  shape: object({ text: text() }),
  empty: { text: '' },
}
