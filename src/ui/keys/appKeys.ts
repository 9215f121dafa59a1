import { appKeyMeant } from '@/core/keys/appKeys'
import type { Shelf } from '@/store/shelf'
import { layout } from './layout'
import { plainStrokes, strokesOf } from './stroke'

/** Keys the person put in the place of an app's own: the app hears its own. */

const NAMES: Record<string, string> = {
  Left: 'ArrowLeft',
  Right: 'ArrowRight',
  Up: 'ArrowUp',
  Down: 'ArrowDown',
  Space: ' ',
}

/** @returns whether a key was meant for, or kept from, the app whose window has the keys */
export function toApp(shelf: Shelf, event: KeyboardEvent): boolean {
  if (!event.isTrusted || !(event.target instanceof HTMLElement)) return false
  const app = event.target.closest<HTMLElement>('[data-app]')?.dataset.app
  if (!app || !shelf.state().bindings.some((one) => one.app === app)) return false
  // What types goes into the field it is typed in.
  const types = !event.ctrlKey && !event.metaKey && event.key.length === 1
  if (types && isField(event.target)) return false
  const strokes = [...strokesOf(event, layout(shelf)), ...plainStrokes(event, layout(shelf))]
  const meant = appKeyMeant(shelf.state(), app, strokes)
  if (meant === undefined) return false
  event.preventDefault()
  event.stopImmediatePropagation()
  if (meant !== null) event.target.dispatchEvent(pressed(meant))
  return true
}

const isField = (target: HTMLElement): boolean =>
  target.isContentEditable ||
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement

/** A key as the browser would tell of it. */
function pressed(written: string): KeyboardEvent {
  const [, ctrl, shift, name = ''] = /^(Ctrl\+)?(Shift\+)?(.+)$/.exec(written) ?? []
  const letter = /^[A-Z]$/.test(name)
  const key = NAMES[name] ?? (letter && !shift ? name.toLowerCase() : name)
  const code = letter ? `Key${name}` : /^\d$/.test(name) ? `Digit${name}` : (NAMES[name] ?? name)
  return new KeyboardEvent('keydown', {
    key,
    code: code === ' ' ? 'Space' : code,
    ctrlKey: ctrl !== undefined,
    shiftKey: shift !== undefined,
    bubbles: true,
    cancelable: true,
  })
}
