import { array, object, string } from 'yup'
import { type Contents, flag, text } from '../contents'

/** A page is called so until it is at a site. */
export const UNTITLED = 'Web page'

/** Content of a web page window: the addresses it was at, the present one last. */
export interface WebContent {
  visited: string[]
  /** Those that were gone back from, the next one first. */
  ahead?: string[]
  /** Whether it is shown in a browser window of its own, because the person prefers it so. */
  outside?: boolean
  /** The site whose pages may pass chords on, as the person allowed it: a host. */
  passes?: string
}

export const WEB: Contents<WebContent | null> = {
  shape: object({
    visited: array(text()).required(),
    ahead: array(text()),
    outside: flag(),
    passes: string(),
  }),
  // An app the person added begins at its address.
  empty: null,
}

/** How many addresses are kept in each direction. */
const MOST = 50

/** One goes on to an address, by typing or by a link. */
export const goTo = (content: WebContent, address: string): WebContent => ({
  ...without(content),
  visited: [...content.visited, address].slice(-MOST),
})

/** Back to the address before; the same content where there is none. */
export function goBack(content: WebContent): WebContent {
  const { visited, ahead = [] } = content
  const left = visited.at(-1)
  if (left === undefined || visited.length < 2) return content
  return { ...content, visited: visited.slice(0, -1), ahead: [left, ...ahead].slice(0, MOST) }
}

/** On to the address that was gone back from; the same content where there is none. */
export function goForward(content: WebContent): WebContent {
  const [next, ...ahead] = content.ahead ?? []
  if (next === undefined) return content
  return { ...goTo(content, next), ...(ahead.length > 0 && { ahead }) }
}

const without = ({ ahead: _ahead, ...content }: WebContent): WebContent => content
