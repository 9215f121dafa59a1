import { useEffect } from 'react'
import { boolean, object, string } from 'yup'
import { dispatch, getState, shelf } from '@/store/shelf'
import { focusContent } from '@/ui/window/focus'

/**
 * A page in a frame takes the keys while it has the focus, and tells nobody. This notices, so that
 * its window can say so and has the focus too, and takes the keys back.
 */

/** How often it is looked which frame has the focus, while one has: going between two is not told. */
const LOOK_EVERY = 1000

/** Two taps of Alt within this time take the keys back, in milliseconds. */
const TWICE = 500

/** A key that one of our own pages passes on. */
const passed = object({
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
export function takeKeys(): void {
  if (document.activeElement instanceof HTMLIFrameElement) document.activeElement.blur()
  focus()
  focusContent()
}

export function useFrames(): void {
  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined
    const look = () => {
      const active = document.activeElement
      const keysIn =
        (active instanceof HTMLIFrameElement &&
          active.closest<HTMLElement>('[data-window]')?.dataset.window) ||
        null
      if (keysIn === shelf.getState().keysIn) return
      shelf.setState({ keysIn, ...(keysIn && { announced: 'The keys go to the page' }) })
      if (keysIn && getState().focus !== keysIn) dispatch('window.focus', { window: keysIn }, 'app')
    }
    const left = () => {
      // What has the focus now is only known after the event.
      setTimeout(look)
      timer ??= setInterval(look, LOOK_EVERY)
    }
    const back = () => {
      clearInterval(timer)
      timer = undefined
      shelf.setState({ keysIn: null })
      // A push on what takes no focus itself, such as a hem.
      setTimeout(() => document.activeElement === document.body && focusContent())
    }
    const off = passKeys()
    addEventListener('blur', left)
    addEventListener('focus', back)
    return () => {
      clearInterval(timer)
      off()
      removeEventListener('blur', left)
      removeEventListener('focus', back)
    }
  }, [])
}

/** Our own pages pass chords on; they are said here as if they had been pressed here. */
function passKeys(): () => void {
  let tapped = 0
  const hear = ({ data, source }: MessageEvent) => {
    const frame = [...document.querySelectorAll('iframe')].find(
      (one) => one.contentWindow === source,
    )
    if (!frame?.src.startsWith(`${location.origin}/pages/`)) return
    const given = (data as { kiteShelfKey?: unknown } | null)?.kiteShelfKey
    if (!passed.isValidSync(given, { strict: true })) return
    const { type, ...init } = given
    if (type === 'keyup' && init.key === 'Alt') {
      const now = performance.now()
      if (now - tapped < TWICE) takeKeys()
      tapped = now
    } else if (init.key !== 'Alt') tapped = 0
    document.body.dispatchEvent(
      new KeyboardEvent(type, { ...init, bubbles: true, cancelable: true }),
    )
    // What follows a first stroke is pressed without Alt, which the page would keep.
    if (shelf.getState().pending) takeKeys()
  }
  addEventListener('message', hear)
  return () => removeEventListener('message', hear)
}
