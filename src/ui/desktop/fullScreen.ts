import type { Shelf } from '@/store/shelf'

/** Chords a browser keeps for itself, but leaves to a page that fills the screen and asks for them. */
const FREED = 'Ctrl+W, Ctrl+T, Ctrl+N and Alt+Home'

/**
 * Fills the screen with this page. Where the browser can, all chords are the shelf's there.
 * @returns what to say of how to leave; null where the browser did not let it
 */
export async function fillScreen(shelf: Shelf): Promise<string | null> {
  try {
    await document.documentElement.requestFullscreen()
  } catch {
    shelf.say('The browser did not let this page fill the screen; it works as it is.', {
      refused: true,
    })
    return null
  }
  const { keyboard } = navigator as { keyboard?: { lock?(): Promise<void> } }
  const locked = keyboard?.lock
    ? await keyboard.lock().then(
        () => true,
        () => false,
      )
    : false
  return locked
    ? `Full screen. ${FREED} go to Kite Shelf here; hold Escape to leave`
    : `Full screen. This browser keeps ${FREED} to itself; Escape leaves`
}

export async function toggleFullScreen(shelf: Shelf): Promise<void> {
  if (document.fullscreenElement) {
    await document.exitFullscreen()
    return shelf.say('Left full screen')
  }
  const says = await fillScreen(shelf)
  if (says) shelf.say(says)
}
