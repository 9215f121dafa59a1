import type { Desktop, DesktopId, Rect, State, Window, WindowId } from './types'
import { EVERY } from './types'

/** The desktop on the display that takes the keys. */
export const currentId = (state: State): DesktopId => state.displays[state.display]?.shows ?? ''

export const current = (state: State): Desktop => desktop(state, currentId(state))

/** @throws when there is none: ids in the state are always valid. */
export function desktop(state: State, id: DesktopId): Desktop {
  const found = state.desktops[id]
  if (!found) throw new Error(`No desktop ${id}`)
  return found
}

/** @throws when there is none: ids in the state are always valid. */
export function window(state: State, id: WindowId): Window {
  const found = state.windows[id]
  if (!found) throw new Error(`No window ${id}`)
  return found
}

/** The desktop visited before the current one, which `\` goes to. */
export function lastId(state: State): DesktopId | null {
  const here = currentId(state)
  return state.visited.find((id) => id !== here) ?? null
}

/** Whether the window's place is on screen, minimised or not. */
export function isShown(state: State, window: Window): boolean {
  const display = state.displays[window.display]
  return !!display?.connected && (window.desktop === EVERY || window.desktop === display.shows)
}

/** Whether the window itself can be seen. */
export const isVisible = (state: State, window: Window): boolean =>
  !window.minimised && isShown(state, window)

/** The windows of a desktop and those on every desktop, topmost first. */
export function stack(state: State, desktopId: DesktopId): Window[] {
  const ids = [...desktop(state, desktopId).windows, ...state.everywhere]
  return ids.map((id) => window(state, id)).sort((a, b) => b.z - a.z)
}

/** All windows in order of last use, latest first. */
export const byUse = (state: State): Window[] =>
  Object.values(state.windows).sort((a, b) => b.z - a.z)

export const title = (state: State, window: Window): string =>
  state.documents[window.document]?.title ?? 'Untitled'

/** Where the window stands now: its frame, or the whole display when maximised. */
export function shownFrame(state: State, window: Window): Rect {
  const display = state.displays[window.display]
  if (!window.maximised || !display) return window.frame
  return { x: 0, y: 0, width: display.width, height: display.height }
}

/** “Bulletin, 3 windows”, as it is announced. */
export function summary(state: State, id: DesktopId): string {
  const { name, windows } = desktop(state, id)
  return `${name}, ${windows.length === 1 ? '1 window' : `${windows.length || 'no'} windows`}`
}
