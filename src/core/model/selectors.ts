import type { Rect } from '@/core/geometry/rect'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Presence } from '@/core/model/kinds/display'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { frameOf, shownOn, standsOn } from './displays'
import type { DesktopId, DisplayId, DocumentId, WindowId } from './ids'
import { held } from './parts'
import { peek } from './peek'
import { heights } from './stacking'
import type { State } from './state'

/** What the display that takes the keys shows, and where one has been on it. @throws when there is none */
export function presence(state: State): Presence {
  const found = state.presence[state.display]
  if (!found) throw new Error(`Nothing is known of display ${state.display}`)
  return found
}

/** The window that has the focus, or null. */
export const focusId = (state: State): WindowId | null => presence(state).focus

export const focusedWindow = (state: State): Window | undefined =>
  state.windows[focusId(state) ?? '']

/** The desktop on the display that takes the keys. */
export const currentId = (state: State): DesktopId => presence(state).shows

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
  return presence(state).visited.find((id) => id !== here) ?? null
}

/** Whether the window's place is on screen, minimised or not. */
export function isShown(state: State, window: Window): boolean {
  const shows = shownOn(state, standsOn(state, window))
  if (window.desktop !== EVERY) return window.desktop === shows
  return state.desktops[shows ?? '']?.kind === 'open'
}

/**
 * The topmost window of a desktop’s own that can be seen, to be read only.
 * @param on only those on this display
 */
export function topmost(state: State, id: DesktopId, on?: DisplayId): Window | undefined {
  const own = new Set(peek(state.desktops, id)?.windows)
  const all = heights(state)
  // By hand: with a thousand windows most stand elsewhere, and below its own none is looked for.
  for (let at = all.length - 1, left = own.size; at >= 0 && left > 0; at--) {
    const other = all[at] ?? ''
    if (!own.has(other)) continue
    left--
    const window = peek(state.windows, other)
    if (window && isVisible(state, window) && (!on || standsOn(state, window) === on)) return window
  }
  return undefined
}

/** Whether the window itself can be seen. */
export const isVisible = (state: State, window: Window): boolean =>
  !window.minimised && isShown(state, window)

/** The windows of a desktop and those on every desktop, topmost first. A solo has only its own. */
export function stack(state: State, desktopId: DesktopId): Window[] {
  const { windows, kind } = desktop(state, desktopId)
  const ids = new Set(kind === 'open' ? [...windows, ...state.everywhere] : windows)
  return heights(state)
    .filter((id) => ids.has(id))
    .reverse()
    .map((id) => window(state, id))
}

/** All windows in order of last use, latest first. */
export const byUse = (state: State): Window[] =>
  heights(state)
    .toReversed()
    .map((id) => window(state, id))

/** The documents that something shows: a window, or a backdrop; also of what is put away or kept. */
export const documentsInUse = (state: State): Set<DocumentId> => {
  const { windows, desktops, stowed, patterns } = state
  return held({ windows, desktops, stowed, patterns }, 'document')
}

export const title = (state: State, window: Window): string =>
  peek(state.documents, window.document)?.title ?? 'Untitled'

/** Room between the windows of a pair. */
export const SEAM = 8

/** Where the window stands now: its frame, or what it fills when maximised, in a solo or a pair. */
export function shownFrame(state: State, window: Window): Rect {
  const display = state.displays[standsOn(state, window)]
  if (!display) return window.frame
  const { width, height } = display
  const lives = state.desktops[window.desktop]
  if (lives?.kind === 'pair') {
    const first = Math.round((width - SEAM) * (lives.divider ?? 0.5))
    return lives.windows[0] === window.id
      ? { x: 0, y: 0, width: first, height }
      : { x: first + SEAM, y: 0, width: width - SEAM - first, height }
  }
  if (lives?.kind === 'solo' || window.maximised) return { x: 0, y: 0, width, height }
  return frameOf(state, window)
}

/** Where a window stands in the arrangement of displays. */
export function placeOf(state: State, window: Window): Rect {
  const { x = 0, y = 0 } = state.displays[standsOn(state, window)] ?? {}
  const frame = shownFrame(state, window)
  return { ...frame, x: frame.x + x, y: frame.y + y }
}

/** An open desktop to put windows on: this one, or where the windows of a solo or pair came from. */
export function openDesktop(state: State, id: DesktopId): DesktopId {
  const { kind, windows, origins } = desktop(state, id)
  if (kind === 'open') return id
  const origin = origins?.[windows[0] ?? '']?.desktop
  if (origin && origin !== EVERY) return origin
  const first = state.order.find((other) => state.desktops[other]?.kind === 'open')
  const { visited } = presence(state)
  return visited.find((other) => state.desktops[other]?.kind === 'open') ?? first ?? id
}

/** Whether one shows pages of the web: those can be in browser windows of their own. */
export const isPage = ({ apps }: State, { app }: Window): boolean =>
  app === 'web' || apps[app]?.address !== undefined

/** Whether the browser window of one closes while one is elsewhere. */
export const furls = ({ desktops }: State, { furls, desktop: on }: Window): boolean =>
  furls ?? desktops[on]?.furls ?? false

/** “Bulletin, 3 windows”, as it is announced. */
export function summary(state: State, id: DesktopId): string {
  const { name, windows } = desktop(state, id)
  return `${name}, ${windows.length === 1 ? '1 window' : `${windows.length || 'no'} windows`}`
}
