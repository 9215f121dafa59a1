import { say } from '@/store/shelf'

/** Chords a browser keeps for itself, but leaves to a page that fills the screen and asks for them. */
const FREED = 'Ctrl+W, Ctrl+T, Ctrl+N and Alt+Home'

/** Fills the screen with this page, and back. Where the browser can, all chords are the shelf's there. */
export async function toggleFullScreen(): Promise<void> {
  if (document.fullscreenElement) {
    await document.exitFullscreen()
    return say('Left full screen')
  }
  try {
    await document.documentElement.requestFullscreen()
  } catch {
    return say('The browser did not let this page fill the screen; it works as it is.', {
      refused: true,
    })
  }
  const { keyboard } = navigator as { keyboard?: { lock?(): Promise<void> } }
  const locked = keyboard?.lock
    ? await keyboard.lock().then(
        () => true,
        () => false,
      )
    : false
  say(
    locked
      ? `Full screen. ${FREED} go to Kite Shelf here; hold Escape to leave`
      : `Full screen. This browser keeps ${FREED} to itself; Escape leaves`,
  )
}
