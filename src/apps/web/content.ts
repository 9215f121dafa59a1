import { array, object } from 'yup'
import { type Contents, flag, text } from '../contents'

/** Content of a web page window: the addresses it was at, the present one last. */
export interface WebContent {
  visited: string[]
  /** Whether it is shown in a browser window of its own, because the person prefers it so. */
  outside?: boolean
}

export const WEB: Contents<WebContent | null> = {
  shape: object({ visited: array(text()).required(), outside: flag() }),
  // An app the person added begins at its address.
  empty: null,
}
