import type { DesktopId, WindowId } from '@/core/model/ids'
import type { EVERY, Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'

/** What became of a window since: it stands as it did, elsewhere on its desktop, on another, or nowhere. */
export type WindowSince = 'same' | 'moved' | 'elsewhere' | 'stowed' | 'closed'

/** What became of a desktop since. */
export type DesktopSince = 'same' | 'changed' | 'stowed' | 'gone'

/** Whether two values of plain JSON say the same; what is undefined is not there. */
function alike(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return a === b
  const [one, other] = [a, b] as Record<string, unknown>[]
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((key) => alike(one?.[key], other?.[key]))
}

/** How a window stands, whatever put it there. */
const standing = ({ desktop, display, frame, minimised, maximised, placed }: Window) => ({
  desktop,
  display,
  frame,
  minimised,
  maximised,
  placed,
})

export function windowSince(then: State, now: State, id: WindowId): WindowSince {
  const [was, is] = [then.windows[id], now.windows[id]]
  if (!is) return now.stowed.some(({ windows }) => windows[id]) ? 'stowed' : 'closed'
  if (!was || is.desktop !== was.desktop) return 'elsewhere'
  return alike(standing(was), standing(is)) ? 'same' : 'moved'
}

/** How a desktop looks and what is on it. Where it stands among others, and who was on it, is not of it. */
function look(state: State, id: DesktopId): unknown {
  const found = state.desktops[id]
  if (!found) return null
  const { letter: _, letterByHand: _by, focus: _focus, windows: _windows, ...rest } = found
  // Nor what sweeping and arranging would go back to.
  const { aside: _aside, before: _before, ...looks } = rest
  return looks
}

export function desktopSince(then: State, now: State, id: DesktopId): DesktopSince {
  if (!now.desktops[id]) return now.stowed.some((one) => one.id === id) ? 'stowed' : 'gone'
  const windows = then.desktops[id]?.windows ?? []
  const same =
    alike(look(then, id), look(now, id)) &&
    alike(windows, now.desktops[id].windows) &&
    windows.every((one) => windowSince(then, now, one) === 'same')
  return same ? 'same' : 'changed'
}

/** Where a window lived that filled a desktop: where it came from. */
export function homeThen(then: State, { id, desktop }: Window): DesktopId | typeof EVERY {
  return then.desktops[desktop]?.origins?.[id]?.desktop ?? desktop
}
