import { keysFor } from '@/core/keys/bindings'
import { expected } from '@/store/faults'
import { ofShelf } from '@/store/ofShelf'
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

/** What a browser tells of the screens there are, where it does. */
interface Screens {
  screens: { left: number; top: number; availWidth: number; availHeight: number }[]
  currentScreen: Screens['screens'][number]
}

/** The screen a new window is put on: another than this one is on, where the browser tells. */
async function otherScreen(): Promise<Screens['screens'][number] | undefined> {
  const ask = (window as { getScreenDetails?(): Promise<Screens> }).getScreenDetails
  const all = await ask?.call(window).catch(expected('not allowed, the browser chooses'))
  return all?.screens.find((screen) => screen !== all.currentScreen)
}

/** Opens a display in a browser window of its own, on another screen where that can be chosen. */
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
  const screen = await otherScreen()
  if (screen) {
    made.moveTo(screen.left, screen.top)
    made.resizeTo(screen.availWidth, screen.availHeight)
  }
  const keys = keysFor(shelf.state(), 'shelf.fullScreen')
  shelf.say(`${display.name} is in a window of its own; ${keys} there makes it full screen`)
}
