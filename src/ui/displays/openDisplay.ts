import { keysFor } from '@/core/keys/bindings'
import { ofShelf } from '@/store/ofShelf'
import { knowsScreens, learnScreens, screenOf, UNTOLD } from '@/store/screens'
import type { Shelf } from '@/store/shelf'

/** The browser windows this page opened for displays. */
const opened = ofShelf(() => new Map<string, Window>())

/**
 * Brings the browser window of a display to the front. One cannot come by itself; but whoever opened
 * it, or was opened by it, may bring it while a key or a push is answered.
 */
export function bringForward(shelf: Shelf, id: string): void {
  const own = opened(shelf).get(id) ?? (id === 'near' ? (window.opener as Window | null) : null)
  own?.focus()
}

/** Opens a display in a browser window of its own, on its own screen where that can be chosen. */
export async function openDisplay(shelf: Shelf, id: string): Promise<void> {
  const display = shelf.state().displays[id]
  if (!display) return
  if (id === 'near') return shelf.say('Near is this browser window itself.', { refused: true })
  if (shelf.page.getState().elsewhere.includes(id))
    return shelf.say(`${display.name} is in a window of its own already.`, { refused: true })
  const { pathname, search } = location
  const path = `${pathname.replace(/\/display\/.*$/, '')}/display/${encodeURIComponent(id)}${search}`
  // Asked first it would be too late: a browser opens windows only as the answer to a key or push.
  const size = `popup,width=${display.width},height=${display.height}`
  const made = window.open(path, `kite-shelf-${id}`, size)
  if (!made)
    return shelf.say(
      `The browser did not open a window. Allow this page to open some, or open ${path} yourself.`,
      { refused: true },
    )
  opened(shelf).set(id, made)
  if ((await learnScreens(shelf, id)) === 'refused') return shelf.say(UNTOLD, { refused: true })
  if (knowsScreens(shelf)) {
    const { availLeft, availTop, availWidth, availHeight } = screenOf(shelf, id)
    made.moveTo(availLeft, availTop)
    made.resizeTo(availWidth, availHeight)
  }
  const keys = keysFor(shelf.state(), 'shelf.fullScreen')
  shelf.say(`${display.name} is in a window of its own; ${keys} there makes it full screen`)
}
