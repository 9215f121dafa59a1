import { across, stretched } from '@/core/geometry/across'
import { type Direction, nearest } from '@/core/geometry/direction'
import { movedIn, type Rect, reachable, spanFrame } from '@/core/geometry/rect'
import type { Display } from '@/core/model/kinds/display'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { limitsOf } from './exceptions'
import type { DesktopId, DisplayId } from './ids'
import type { State } from './state'

/** At most so many displays. */
export const DISPLAYS_MOST = 8

/** The displays that are plugged in, the main one first. */
export const connected = ({ displays, displayOrder }: State): Display[] =>
  displayOrder.flatMap((id) => (displays[id]?.connected ? displays[id] : []))

/** The display whose picture another shows instead of its own, where that can be seen. */
export function mirroredOn({ displays }: State, id: DisplayId): Display | undefined {
  const { connected: own, mirrors = '' } = displays[id] ?? {}
  const source = displays[mirrors]
  return !own && source?.connected ? source : undefined
}

/** The desktop a display shows; null where it is not connected. */
export const shownOn = ({ displays, presence }: State, id: DisplayId): DesktopId | null =>
  displays[id]?.connected ? (presence[id]?.shows ?? null) : null

/** The display that shows a desktop, or undefined; where all show it, the one that takes the keys. */
export const displayShowing = (state: State, desktop: DesktopId): DisplayId | undefined =>
  [state.display, ...state.displayOrder].find((id) => shownOn(state, id) === desktop)

/** Where windows of a desktop are opened. */
export const displayFor = (state: State, desktop: DesktopId): DisplayId =>
  state.apart ? (displayShowing(state, desktop) ?? state.display) : state.display

/** The middle of a display in the arrangement. */
const middle = ({ x, y, width, height }: Display) => ({ x: x + width / 2, y: y + height / 2 })

/** The nearest display that is plugged in: that one itself, where it is. */
function nearestTo(state: State, id: DisplayId): DisplayId {
  const from = state.displays[id]
  if (!from || from.connected) return from ? id : state.display
  const at = middle(from)
  let best = state.display
  let least = Number.POSITIVE_INFINITY
  for (const display of connected(state)) {
    const { x, y } = middle(display)
    const far = Math.hypot(x - at.x, y - at.y)
    if (far >= least) continue
    least = far
    best = display.id
  }
  return best
}

/**
 * The display a window is on now. It has one of its own. Where that is unplugged it stands on the
 * nearest; with displays apart it goes with its desktop. So nothing has to be remembered: plugged in
 * again, or apart no more, it is back where it was, unless it was moved meanwhile.
 */
export function standsOn(state: State, { desktop, display }: Window): DisplayId {
  const showing = state.apart && desktop !== EVERY ? displayShowing(state, desktop) : undefined
  return showing ?? nearestTo(state, display)
}

/**
 * Its frame on the display it is on now, when neither maximised nor filling a desktop: within reach
 * whatever size that display has by now, so that it is back where it stood when the size is.
 */
export function frameOf(state: State, window: Window): Rect {
  const on = standsOn(state, window)
  const [from, to] = [state.displays[window.display], state.displays[on]]
  if (!from || !to) return window.frame
  if (window.placed)
    return spanFrame(window.placed, to, limitsOf(state, window), state.settings.gap)
  if (on !== window.display) return across(window.frame, from, to, limitsOf(state, window))
  return to.fitted
    ? stretched(window.frame, window.room ?? to.fitted, to, limitsOf(state, window))
    : reachable(movedIn(window.frame, window.room, to), to)
}

/** Has a window stand somewhere on its display, in the room there is now. */
export function stand(draft: State, window: Window, frame: Rect): void {
  window.frame = { ...frame }
  const { width, height } = draft.displays[window.display] ?? {}
  if (width && height) window.room = { width, height }
}

/** A window that is moved belongs to the display it is on now, and starts from where it stands. */
export function settleOn(draft: State, window: Window): void {
  const on = standsOn(draft, window)
  const frame = frameOf(draft, window)
  window.display = on
  if (!sameRect(frame, window.frame)) stand(draft, window, frame)
}

/** The nearest display in a direction, of those that are plugged in. */
export function besideDisplay(
  state: State,
  from: Display,
  direction: Direction,
): Display | undefined {
  const others = connected(state).filter(({ id }) => id !== from.id)
  const at = nearest(from, others, direction)
  return at === null ? undefined : others[at]
}

/**
 * Puts a window on another display, its place kept in proportion; what is placed there is placed
 * anew. Sent back without having been moved it stands exactly where it stood.
 */
export function sendOver(draft: State, window: Window, to: DisplayId): void {
  settleOn(draft, window)
  const [from, area] = [draft.displays[window.display], draft.displays[to]]
  if (!from || !area || from.id === to) return
  const { came, frame, placed } = window
  const limits = limitsOf(draft, window)
  const back = came?.from === to && sameRect(came.to, frame) ? came.frame : undefined
  const there = placed
    ? spanFrame(placed, area, limits, draft.settings.gap)
    : reachable(back ?? across(frame, from, area, limits), area)
  window.came = { from: from.id, frame: { ...frame }, to: { ...there } }
  window.display = to
  stand(draft, window, there)
}

const sameRect = (a: Rect, b: Rect): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height
