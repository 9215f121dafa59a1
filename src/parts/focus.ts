import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/**
 * Where the keys land. Unless something is being asked, or the person went elsewhere by Tab, the
 * browser's focus is in the focused window, on the element that had it there.
 */

/** The element that had the browser's focus in each window, to return to. */
const remembered = ofShelf(() => new Map<WindowId, WeakRef<HTMLElement>>())

export function rememberElement(shelf: Shelf, id: WindowId, element: EventTarget): void {
  // A page in a frame is given the keys anew each time: one that is shut takes no focus.
  if (element instanceof HTMLIFrameElement) return
  if (element instanceof HTMLElement && isContent(element))
    remembered(shelf).set(id, new WeakRef(element))
}

const own = ofShelf(() => ({
  /**
   * Whether the person went by key to what has the focus. The browser's own `:focus-visible` says so
   * too of what was pushed, as soon as a key is pressed.
   */
  byKey: true,
  pushed: false,
  landed: 0,
  /** What had the focus last, other than a page in a frame. */
  last: null as WeakRef<HTMLElement> | null,
}))

export const isByKey = (shelf: Shelf): boolean => own(shelf).byKey

/** To be called with every push, key and change of the focus. */
export function noteInput(shelf: Shelf, { type, target }: Event): void {
  if (type === 'pointerdown') own(shelf).pushed = true
  else if (type === 'keydown') own(shelf).pushed = false
  else {
    own(shelf).byKey = !own(shelf).pushed
    if (target instanceof HTMLElement && !(target instanceof HTMLIFrameElement))
      own(shelf).last = new WeakRef(target)
  }
}

export const windowElement = (id: WindowId): HTMLElement | null =>
  document.getElementById(`window-${id}`)

/** Whether an element belongs to what an app shows, not to the window around it. */
const isContent = (element: Element): boolean =>
  !element.classList.contains('win-body') && element.closest('.win-body') !== null

/**
 * Whether an editor has the focus and no caret: while rows are dragged, and for a moment after, every
 * selection is taken away.
 */
const lacksCaret = (active: Element): boolean =>
  active.matches('[contenteditable=true]') &&
  !active.contains(document.getSelection()?.anchorNode ?? null)

/** Whether what has the focus only hands it on, as a table to its cell: on a busy page only later. */
export const isHandingOn = (): boolean =>
  document.activeElement?.matches('[data-hands-on]') ?? false

/** Whether the keys belong to something that asks. */
export function isAsking(shelf: Shelf): boolean {
  const { view, loft, menu } = shelf.page.getState()
  return view !== null || loft || menu !== null
}

/** Where the keys of a window land; null while there is nothing that takes them. */
export function keyTarget(shelf: Shelf, id: WindowId): HTMLElement | null {
  const element = windowElement(id)
  const before = remembered(shelf).get(id)?.deref()
  if (before && element?.contains(before) && !before.matches(':disabled')) return before
  return element?.querySelector<HTMLElement>('[data-autofocus]') ?? null
}

/** Puts the browser's focus where the focused window had it, or on the first thing to type in. */
export function focusContent(shelf: Shelf): void {
  // The keys went to another browser window: what is typed here is for nothing on this page.
  const id = shelf.page.getState().keysOn ? undefined : focusId(shelf.state())
  const element = id ? windowElement(id) : null
  if (!id || !element) {
    document.getElementById('desktop')?.focus({ preventScroll: true })
    return
  }
  const active = document.activeElement
  if (active && element.contains(active)) {
    // On its hem only as long as it was gone to by Tab.
    if (
      (isContent(active) && !lacksCaret(active)) ||
      (own(shelf).byKey && !active.classList.contains('win-body'))
    )
      return
  }
  const target = keyTarget(shelf, id) ?? element.querySelector<HTMLElement>('.win-body')
  // An editor puts its caret when it gets the focus, not when it has it already.
  if (target === active) target?.blur()
  target?.focus({ preventScroll: true })
  own(shelf).landed = performance.now()
}

/**
 * What gets the focus may need a moment, in milliseconds: a table hands it on to its cell, an
 * editor puts its caret where it was.
 */
export const LANDING = 40

/** Whether the focus has only just come to a window. */
export const isLanding = (shelf: Shelf): boolean => performance.now() - own(shelf).landed < LANDING

/** Whether the keys are where they should be, although perhaps not in the focused window. */
export function isSettled(shelf: Shelf): boolean {
  const active = document.activeElement
  if (!active || active === document.body || active.id === 'desktop' || isHandingOn()) return false
  if (shelf.page.getState().keysOn) return false
  // A page that was just pushed into: its window has the focus as soon as that is noticed.
  if (active instanceof HTMLIFrameElement && !active.inert) return true
  const window = active.closest<HTMLElement>('[data-window]')
  if (window && isContent(active))
    return window.dataset.window === focusId(shelf.state()) && !lacksCaret(active)
  if (!window && active.matches('input, textarea, select, [contenteditable=true]')) return true
  if (active.closest('[role=dialog], [role=alertdialog], [role=menu]')) return true
  return own(shelf).byKey && !active.classList.contains('win-body')
}

/** Gives the keys back to the focused window, where nothing else rightly has them. */
export function settle(shelf: Shelf): void {
  if (!isAsking(shelf) && !isSettled(shelf)) focusContent(shelf)
}

/** Gives the keys back after a page took them: to what asks, where something is asked. */
export function takeBack(shelf: Shelf): void {
  if (isAsking(shelf)) own(shelf).last?.deref()?.focus({ preventScroll: true })
  else focusContent(shelf)
}

/**
 * What had the keys does not take them any more, as “Redo” after the last step: they go to what stands
 * beside it where something is asked, else to the focused window.
 */
export function leaveDisabled(shelf: Shelf): void {
  const active = document.activeElement
  if (!(active instanceof HTMLElement) || !active.matches(':disabled')) return
  const asked = active.closest<HTMLElement>('[role=dialog], [role=alertdialog]')
  const beside = active.parentElement?.querySelector<HTMLElement>('button:enabled') ?? asked
  active.blur()
  if (asked) beside?.focus({ preventScroll: true })
  else focusContent(shelf)
}

/** Where the focus goes when a dialog or a menu closes, instead of to what opened it. */
export function giveBack(shelf: Shelf, event: Event): void {
  event.preventDefault()
  const { view, loft } = shelf.page.getState()
  // Windows laid out have menus of their own; any other view has just opened, and takes the keys.
  if (view?.view === 'unstack') document.getElementById('unstack')?.focus()
  else if (view) return
  else if (loft) document.getElementById('loft')?.focus()
  // A command that shut it may have gone elsewhere, as to the apps.
  else if (!isSettled(shelf)) focusContent(shelf)
}
