import { useEffect } from 'react'
import { boolean, type InferType, number, object, string } from 'yup'
import { focusId } from '@/core/model/selectors'
import { focusContent, takeBack } from '@/parts/focus'
import { openFrame, shutFrames, wasGiven } from '@/parts/pageFrames'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { said, takeIn } from '@/ui/files/takeIn'
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
}).required()

/** What a wheel or two fingers say over one of them. */
const turned = object({
  token: string().min(1).required(),
  deltaX: number().required(),
  deltaY: number().required(),
  altKey: boolean().required(),
  ctrlKey: boolean().required(),
}).required()

/** A link that opens a window of its own. */
const followed = object({
  token: string().min(1).required(),
  address: string()
    .max(4000)
    .matches(/^https?:\/\//)
    .required(),
}).required()

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
    const off = hearPages(shelf)
    const listening = new AbortController()
    const { signal } = listening
    addEventListener('keydown', () => shutFrames(shelf), { capture: true, signal })
    const over = (event: Event) => openFrame(shelf, event)
    addEventListener('pointermove', over, { capture: true, passive: true, signal })
    addEventListener('pointerdown', over, { capture: true, passive: true, signal })
    const out = ({ target }: Event) => {
      const leaves = target instanceof HTMLIFrameElement && target === document.activeElement
      if (leaves && shelf.state().settings.leavePage) takeKeys(shelf)
    }
    addEventListener('pointerout', out, { capture: true, passive: true, signal })
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

type Pressed = Omit<InferType<typeof passed>, 'token' | 'type'>

/** A key that was pressed elsewhere is said as if it had been pressed here. */
export function pressHere(pressed: Pick<KeyboardEvent, 'type' | keyof Pressed>): void {
  const { type, key, code, altKey, shiftKey, ctrlKey, metaKey } = pressed
  const init = { key, code, altKey, shiftKey, ctrlKey, metaKey, bubbles: true, cancelable: true }
  document.body.dispatchEvent(new KeyboardEvent(type, init))
}

/** Our own pages pass on what is meant for Kite Shelf; it is said here as if it had been done here. */
function hearPages(shelf: Shelf): () => void {
  let tapped = 0
  const hearKey = ({ type, ...init }: Omit<InferType<typeof passed>, 'token'>) => {
    if (type === 'keyup' && init.key === 'Alt') {
      const now = performance.now()
      if (now - tapped < TWICE) takeKeys(shelf)
      tapped = now
    } else if (init.key !== 'Alt') tapped = 0
    pressHere({ type, ...init })
    // What follows a first stroke is pressed without Alt, which the page would keep.
    if (shelf.page.getState().pending) takeKeys(shelf)
  }
  const hear = ({ data, source }: MessageEvent) => {
    const frame = [...document.querySelectorAll('iframe')].find(
      (one) => one.contentWindow === source,
    )
    const {
      kiteShelfKey: key,
      kiteShelfWheel: wheel,
      kiteShelfOpen: link,
    } = (data ?? {}) as Record<string, unknown>
    // A page that the frame was sent on to does not know what ours was given.
    const knows = ({ token }: { token: string }) => token === frame?.dataset.page
    if (followed.isValidSync(link, { strict: true }) && knows(link))
      takeIn(shelf, said(link.address))
    if (passed.isValidSync(key, { strict: true })) {
      const { token, ...pressed } = key
      if (knows({ token })) hearKey(pressed)
    }
    if (turned.isValidSync(wheel, { strict: true }) && knows(wheel))
      frame?.parentElement?.dispatchEvent(
        new WheelEvent('wheel', { ...wheel, bubbles: true, cancelable: true }),
      )
  }
  addEventListener('message', hear)
  return () => removeEventListener('message', hear)
}
