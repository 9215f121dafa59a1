import type { WindowId } from '@/core/model/types'
import { getState } from '@/store/shelf'

/** The element that had the browser's focus in each window, to return to. */
const remembered = new Map<WindowId, WeakRef<HTMLElement>>()

export function rememberElement(id: WindowId, element: EventTarget): void {
  if (element instanceof HTMLElement && !element.classList.contains('win-body'))
    remembered.set(id, new WeakRef(element))
}

export const windowElement = (id: WindowId): HTMLElement | null =>
  document.getElementById(`window-${id}`)

/** Puts the browser's focus where the focused window had it, or on the first thing to type in. */
export function focusContent(): void {
  const id = getState().focus
  const element = id ? windowElement(id) : null
  if (!id || !element) {
    document.getElementById('stage')?.focus({ preventScroll: true })
    return
  }
  const body = element.querySelector<HTMLElement>('.win-body')
  const active = document.activeElement
  if (active !== body && element.contains(active)) return
  const before = remembered.get(id)?.deref()
  const target =
    (before && element.contains(before) ? before : null) ??
    element.querySelector<HTMLElement>('[data-autofocus]') ??
    body
  target?.focus({ preventScroll: true })
}
