import type { WindowId } from '@/core/model/types'
import { getState } from '@/store/shelf'
import {
  focusContent,
  isAsking,
  isLanding,
  isSettled,
  keyTarget,
  LANDING,
  windowElement,
} from '@/ui/window/focus'

/**
 * Keys that are pressed before their window can take them. One goes to a desktop and types at once,
 * while what its window shows is still on its way: nothing of that is lost. It is kept for the
 * window and pressed again when there is something to type in.
 */

type Pressed = Pick<KeyboardEvent, 'key' | 'code' | 'shiftKey'>

const waiting = new Map<WindowId, Pressed[]>()
let pressing = false

const isTyping = ({ key }: KeyboardEvent): boolean =>
  key.length === 1 || key === 'Enter' || key === 'Backspace'

/** Keeps a key that nothing would take. @returns whether it was kept */
export function keepEarly(event: KeyboardEvent): boolean {
  const { focus } = getState()
  const commands = event.ctrlKey || event.metaKey || event.altKey
  if (!focus || isAsking() || !isTyping(event)) return false
  if (commands && !event.getModifierState('AltGraph')) return false
  if (!waiting.has(focus) && isSettled() && !isLanding()) return false
  if (!waiting.has(focus) && !keyTarget(focus) && !isComing(focus)) return false
  const { key, code, shiftKey } = event
  waiting.set(focus, [...(waiting.get(focus) ?? []), { key, code, shiftKey }])
  void pressKept()
  return true
}

/** Whether what a window shows is not there yet, or says that what takes the keys is to come. */
function isComing(id: WindowId): boolean {
  const body = windowElement(id)?.querySelector('.win-body')
  return !body?.firstElementChild || body.querySelector('[data-coming]') !== null
}

const soon = (time = 0) => new Promise<void>((done) => setTimeout(done, time))

/** Presses what was kept for the focused window, as soon as it takes keys. */
export async function pressKept(): Promise<void> {
  const { focus } = getState()
  if (pressing || !focus || !waiting.has(focus)) return
  pressing = true
  let tries = 0
  try {
    while (getState().focus === focus && !isAsking() && keyTarget(focus)) {
      if (!isSettled()) focusContent()
      if (isLanding()) await soon(LANDING)
      const [next] = waiting.get(focus) ?? []
      if (!next) return void waiting.delete(focus)
      // What took the focus away meanwhile did not take the key: it is pressed again.
      if (!(await press(next)) && ++tries < TRIES) continue
      waiting.get(focus)?.shift()
      tries = 0
    }
  } finally {
    pressing = false
  }
}

/** How often a key is pressed that nothing takes. */
const TRIES = 5

/**
 * Presses a key as the browser would: handlers hear it first, then it types.
 * @returns whether something took it
 */
async function press(pressed: Pressed): Promise<boolean> {
  const event = new KeyboardEvent('keydown', { ...pressed, bubbles: true, cancelable: true })
  const typed = document.activeElement?.dispatchEvent(event)
  // What it opened is there then.
  await soon()
  const into = document.activeElement
  const { key } = pressed
  if (!typed) return typed === false
  if (key === 'Backspace') return document.execCommand('delete')
  if (key.length === 1) return document.execCommand('insertText', false, key)
  if (into instanceof HTMLTextAreaElement) return document.execCommand('insertText', false, '\n')
  if (!(into instanceof HTMLInputElement)) return document.execCommand('insertParagraph')
  into.form?.requestSubmit()
  return true
}
