import { useEffect } from 'react'
import { boolean, object, string } from 'yup'
import { focusId } from '@/core/model/selectors'
import { focusContent, takeBack } from '@/parts/focus'
import { openFrame, shutFrames, wasGiven } from '@/parts/pageFrames'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { TWICE } from './layer'

/**
 * A page in a frame takes the keys while it has the focus, and tells nobody. This notices, so that
 * its window can say so and has the focus too, and takes the keys back.
 */

/** How often it is looked which frame has the focus, while one has: going between two is not told. */
const LOOK_EVERY = 1000

/** A key that one of our own pages passes on. */
const passed = object({
  token: string().min(1).required(),
  type: string()
    .oneOf(['keydown', 'keyup'] as const)
    .required(),
  key: string().required(),
  code: string().defined(),
  altKey: boolean().required(),
  shiftKey: boolean().required(),
  ctrlKey: boolean().required(),
  metaKey: boolean().required(),
})

/** Gives the keys back to Kite Shelf. */
export function takeKeys(shelf: Shelf): void {
  if (document.activeElement instanceof HTMLIFrameElement) document.activeElement.blur()
  shutFrames(shelf)
  focus()
  takeBack(shelf)
}

export function useFrames(): void {
  const shelf = useShelf()
  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined
    const look = () => {
      const active = document.activeElement
      if (active instanceof HTMLIFrameElement && !wasGiven(shelf, active)) return takeKeys(shelf)
      const keysIn =
        (active instanceof HTMLIFrameElement &&
          active.closest<HTMLElement>('[data-window]')?.dataset.window) ||
        null
      if (keysIn === shelf.page.getState().keysIn) return
      shelf.page.setState({ keysIn, ...(keysIn && { announced: 'The keys go to the page' }) })
      if (keysIn && focusId(shelf.state()) !== keysIn)
        shelf.dispatch('window.focus', { window: keysIn }, 'app')
    }
    const left = () => {
      // What has the focus now is only known after the event.
      setTimeout(look)
      timer ??= setInterval(look, LOOK_EVERY)
    }
    const back = () => {
      clearInterval(timer)
      timer = undefined
      shelf.page.setState({ keysIn: null })
      setTimeout(() => {
        // The page that had them does not take them by itself again.
        shutFrames(shelf)
        // A push on what takes no focus itself, such as a hem.
        if (document.activeElement === document.body) focusContent(shelf)
      })
    }
    const off = passKeys(shelf)
    const listening = new AbortController()
    const { signal } = listening
    addEventListener('keydown', () => shutFrames(shelf), { capture: true, signal })
    const over = (event: Event) => openFrame(shelf, event)
    addEventListener('pointermove', over, { capture: true, passive: true, signal })
    addEventListener('pointerdown', over, { capture: true, passive: true, signal })
    addEventListener('blur', left)
    addEventListener('focus', back)
    return () => {
      clearInterval(timer)
      listening.abort()
      off()
      removeEventListener('blur', left)
      removeEventListener('focus', back)
    }
  }, [shelf])
}

/** Our own pages pass chords on; they are said here as if they had been pressed here. */
function passKeys(shelf: Shelf): () => void {
  let tapped = 0
  const hear = ({ data, source }: MessageEvent) => {
    const frame = [...document.querySelectorAll('iframe')].find(
      (one) => one.contentWindow === source,
    )
    const key = (data as { kiteShelfKey?: unknown } | null)?.kiteShelfKey
    if (!frame || !passed.isValidSync(key, { strict: true })) return
    const { token, type, ...init } = key
    // A page that the frame was sent on to does not know what ours was given.
    if (token !== frame.dataset.page) return
    if (type === 'keyup' && init.key === 'Alt') {
      const now = performance.now()
      if (now - tapped < TWICE) takeKeys(shelf)
      tapped = now
    } else if (init.key !== 'Alt') tapped = 0
    document.body.dispatchEvent(
      new KeyboardEvent(type, { ...init, bubbles: true, cancelable: true }),
    )
    // What follows a first stroke is pressed without Alt, which the page would keep.
    if (shelf.page.getState().pending) takeKeys(shelf)
  }
  addEventListener('message', hear)
  return () => removeEventListener('message', hear)
}
