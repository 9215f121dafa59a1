import { array, object, string } from 'yup'
import { type Contents, flag, text } from '../contents'

/** A page is called so until it is at a site. */
export const UNTITLED = 'Web page'

/** Content of a web page window: the addresses it was at, the present one last. */
export interface WebContent {
  visited: string[]
  /** Whether it is shown in a browser window of its own, because the person prefers it so. */
  outside?: boolean
  /** The site whose pages may pass chords on, as the person allowed it: a host. */
  passes?: string
}

export const WEB: Contents<WebContent | null> = {
  shape: object({ visited: array(text()).required(), outside: flag(), passes: string() }),
  // An app the person added begins at its address.
  empty: null,
}
