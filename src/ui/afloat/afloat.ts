import { createStore, useStore } from 'zustand'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** The browser’s small window that stays above all others, where it has one. */
interface Above {
  requestWindow(size: { width: number; height: number }): Promise<Window>
}

const above = (): Above | undefined =>
  (globalThis as { documentPictureInPicture?: Above }).documentPictureInPicture

/** In CSS pixels, at first: the person makes it larger or smaller, and the browser remembers that. */
const SIZE = { width: 360, height: 260 }

const afloat = ofShelf(() => createStore<{ page: Window | null }>(() => ({ page: null })))

/** The window the line is afloat in; null while it is on this page alone. */
export const useAfloat = (): Window | null => useStore(afloat(useShelf()), ({ page }) => page)

/**
 * Puts the line into a small window above every program of the machine, or takes it back. To be called
 * while the answer to a key or a push is under way: the browser allows it only then.
 */
export async function floatLine(shelf: Shelf): Promise<void> {
  const { page } = afloat(shelf).getState()
  // It tells by itself that it is gone.
  if (page) return page.close()
  const way = above()
  if (!way)
    return shelf.say('This browser can’t keep a window on top of other programs.', {
      refused: true,
    })
  let made: Window
  try {
    made = await way.requestWindow(SIZE)
  } catch {
    return shelf.say('The browser didn’t open the small window. Try again.', {
      refused: true,
    })
  }
  dress(made.document)
  made.addEventListener('pagehide', () => {
    afloat(shelf).setState({ page: null })
    shelf.say('The line is back on this page')
  })
  afloat(shelf).setState({ page: made })
  shelf.say('The line stays on top of other programs')
}

/** It looks as this page does, also when that is told to look otherwise. */
function dress(page: Document): void {
  for (const sheet of document.querySelectorAll('link[rel=stylesheet], style'))
    page.head.append(page.importNode(sheet, true))
  page.title = 'Kite Shelf'
  const root = document.documentElement
  const copy = () => {
    for (const { name, value } of root.attributes) page.documentElement.setAttribute(name, value)
    for (const { name } of [...page.documentElement.attributes])
      if (!root.hasAttribute(name)) page.documentElement.removeAttribute(name)
  }
  copy()
  const watch = new MutationObserver(copy)
  watch.observe(root, { attributes: true })
  page.defaultView?.addEventListener('pagehide', () => watch.disconnect())
}
