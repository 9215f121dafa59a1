import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import {
  focusContent,
  isAsking,
  isHandingOn,
  isLanding,
  isSettled,
  keyTarget,
  LANDING,
  windowElement,
} from '@/parts/focus'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/**
 * Keys that are pressed before their window can take them. One goes to a desktop and types at once,
 * while what its window shows is still on its way: nothing of that is lost. It is kept for the
 * window, and pressed again in its order when there is something to type in.
 */

type Pressed = Pick<
  KeyboardEvent,
  'key' | 'code' | 'shiftKey' | 'altKey' | 'ctrlKey' | 'metaKey'
> & { command: boolean; at: number }

/** By the window that has the focus; null: where none has it, what follows a command comes after it. */
const waiting = ofShelf(() => new Map<WindowId | null, Pressed[]>())

const own = ofShelf(() => ({
  pressing: false,
  /** Whether what is pressed comes after a command that was kept, and is for where it led. */
  led: false,
}))

const isTyping = ({ key }: KeyboardEvent): boolean =>
  key.length === 1 || key === 'Enter' || key === 'Backspace'

const MODIFIERS = ['Alt', 'AltGraph', 'Shift', 'Control', 'Meta', 'CapsLock']

/**
 * Keeps a key that nothing would take, and every key that is pressed after one that was kept.
 * @returns whether it was kept
 */
export function keepEarly(shelf: Shelf, event: KeyboardEvent): boolean {
  const focus = focusId(shelf.state())
  const held = event.ctrlKey || event.metaKey || event.altKey
  const command = (held && !event.getModifierState('AltGraph')) || !isTyping(event)
  if (MODIFIERS.includes(event.key) || (isAsking(shelf) && !own(shelf).led)) return false
  if (!isKeeping(shelf)) {
    if (!focus || command || isAsking(shelf) || isSettled(shelf)) return false
    if (!keyTarget(shelf, focus) && !isComing(focus)) return false
  }
  const { key, code, shiftKey, altKey, ctrlKey, metaKey } = event
  const at = performance.now()
  const pressed = { key, code, shiftKey, altKey, ctrlKey, metaKey, command, at }
  waiting(shelf).set(focus, [...(waiting(shelf).get(focus) ?? []), pressed])
  void pressKept(shelf)
  if (command) setTimeout(() => void pressKept(shelf), PATIENCE)
  return true
}

/** Whether keys are kept: what is pressed now comes after them. */
export const isKeeping = (shelf: Shelf): boolean =>
  own(shelf).led || waiting(shelf).has(focusId(shelf.state()))

/** Whether what a window shows is not there yet, or says that what takes the keys is to come. */
function isComing(id: WindowId): boolean {
  const body = windowElement(id)?.querySelector('.win-body')
  return !body?.firstElementChild || body.querySelector('[data-coming]') !== null
}

const soon = (time = 0) => new Promise<void>((done) => setTimeout(done, time))

/** A command that was kept for a window leads away from it: who went away otherwise does without. */
function forgetCommands(shelf: Shelf): void {
  for (const [id, kept] of waiting(shelf))
    if (id !== focusId(shelf.state())) keep(shelf, id, kept.slice(0, commandIn(kept)))
}

const commandIn = (kept: readonly Pressed[]): number => {
  const at = kept.findIndex(({ command }) => command)
  return at < 0 ? kept.length : at
}

function keep(shelf: Shelf, id: WindowId | null, keys: Pressed[]): void {
  if (keys.length > 0) waiting(shelf).set(id, keys)
  else waiting(shelf).delete(id)
}

/** Whether a window takes no keys for so long that it shall hold up no command any more. */
const isStuck = (shelf: Shelf, id: WindowId | null, { at }: Pressed): boolean =>
  id !== null && performance.now() - at >= PATIENCE && !keyTarget(shelf, id)

/** Presses what was kept for the focused window, as soon as it takes keys. */
export async function pressKept(shelf: Shelf): Promise<void> {
  let owner = focusId(shelf.state())
  if (own(shelf).pressing) return
  forgetCommands(shelf)
  if (!waiting(shelf).has(owner)) return
  own(shelf).pressing = true
  /** What was typed into a window that is stuck: it stays there for later. */
  const left: [WindowId | null, Pressed[]][] = []
  let tries = 0
  let until = performance.now() + PATIENCE
  try {
    for (;;) {
      // What asks takes what was typed after the command that asked.
      if (isAsking(shelf) && !own(shelf).led) return
      const kept = waiting(shelf).get(owner) ?? []
      const [next] = kept
      if (!next) return void waiting(shelf).delete(owner)
      const at = commandIn(kept)
      const command = kept[at]
      if (command && (at === 0 || (!own(shelf).led && isStuck(shelf, owner, next)))) {
        left.push([owner, kept.slice(0, at)])
        waiting(shelf).set(owner, [])
        own(shelf).led = true
        await press(command)
        // What was typed after a command is for where it led.
        const since: Pressed[] = waiting(shelf).get(owner) ?? []
        waiting(shelf).delete(owner)
        owner = focusId(shelf.state())
        const there = waiting(shelf).get(owner) ?? []
        const all = [...there, ...kept.slice(at + 1), ...since]
        keep(
          shelf,
          owner,
          all.toSorted((one, other) => one.at - other.at),
        )
        continue
      }
      if (!isAsking(shelf)) {
        if (focusId(shelf.state()) !== owner) return
        if (owner === null) {
          waiting(shelf).get(owner)?.shift()
          continue
        }
        if (!keyTarget(shelf, owner)) return
        if (!isSettled(shelf)) focusContent(shelf)
        if (isLanding(shelf)) await soon(LANDING)
        await handedOn(until)
        // Who went elsewhere meanwhile has the keys there: what is kept waits for its window.
        if (focusId(shelf.state()) !== owner) return
      }
      // What asks has the focus a moment later; a window that is left may take it back once more.
      if (!isSettled(shelf) && performance.now() < until) {
        await soon(LOOK_EVERY)
        continue
      }
      // What took the focus away meanwhile did not take the key: it is pressed again.
      const taken = await press(next, () => isAsking(shelf) || focusId(shelf.state()) === owner)
      if (!taken && !isAsking(shelf) && ++tries < TRIES) continue
      waiting(shelf).get(owner)?.shift()
      tries = 0
      // Where nothing takes keys the others are not waited for anew.
      if (taken) until = performance.now() + PATIENCE
    }
  } finally {
    for (const [id, keys] of left) keep(shelf, id, [...keys, ...(waiting(shelf).get(id) ?? [])])
    Object.assign(own(shelf), { pressing: false, led: false })
    // What was pressed since then, elsewhere.
    if (focusId(shelf.state()) !== owner) void soon().then(() => pressKept(shelf))
  }
}

/** How often a key is pressed that nothing takes. */
const TRIES = 5
/** How long it is waited until a window can take keys, and how often looked, in milliseconds. */
const PATIENCE = 2000
const LOOK_EVERY = 10

async function handedOn(until: number): Promise<void> {
  while (isHandingOn() && performance.now() < until) await soon(LOOK_EVERY)
}

const typesIn = (element: Element | null): boolean =>
  element?.matches('input, textarea, [contenteditable=true]') ?? false

/**
 * Presses a key as the browser would: handlers hear it first, then it types.
 * @param isMeant whether the keys are still where it is meant for
 * @returns whether something took it
 */
async function press({ command, ...pressed }: Pressed, isMeant = () => true): Promise<boolean> {
  const event = new KeyboardEvent('keydown', { ...pressed, bubbles: true, cancelable: true })
  const typed = document.activeElement?.dispatchEvent(event)
  // What it opened is there then.
  await soon()
  const into = document.activeElement
  const { key } = pressed
  if (!typed || command) return typed === false || command
  // The keys went elsewhere meanwhile; the browser would type where the selection still lies, and take
  // them back there.
  if (!typesIn(into) || !isMeant()) return false
  // Where there is nothing to delete it was taken all the same.
  if (key === 'Backspace') return document.execCommand('delete') || true
  if (key.length === 1) return document.execCommand('insertText', false, key)
  if (into instanceof HTMLTextAreaElement) return document.execCommand('insertText', false, '\n')
  if (!(into instanceof HTMLInputElement)) return document.execCommand('insertParagraph')
  into.form?.requestSubmit()
  return true
}
