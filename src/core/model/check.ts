import { isVisible } from './selectors'
import {
  CLOSED_KEPT,
  DESKTOPS_MOST,
  type Desktop,
  EVERY,
  HEM,
  HERE,
  LONGEST,
  NAMED,
  REACH,
  type State,
  type Window,
} from './types'

/**
 * The rules that always hold. Returns one sentence for each that does not, so an empty list means
 * the state is sound. With the state before a change, which was sound, only what the change can
 * have broken is looked at: the cost then follows the change and not the number of windows.
 */
export function check(state: State, before?: State): string[] {
  return [
    ...desktops(state, before),
    ...windows(state, before),
    ...displays(state),
    ...focus(state),
  ]
}

/** The objects that are not what they were. */
function changed<T>(now: Record<string, T>, before: Record<string, T> | undefined): [string, T][] {
  if (now === before) return []
  return Object.entries(now).filter(([id, object]) => before?.[id] !== object)
}

function desktops(state: State, before: State | undefined): string[] {
  const broken: string[] = []
  const ids = Object.keys(state.desktops)
  if (!Object.values(state.desktops).some(({ kind }) => kind === 'open'))
    broken.push('There is no open desktop.')
  if (state.order.length > DESKTOPS_MOST) broken.push('There are more than 40 desktops.')
  if (new Set(state.order).size !== state.order.length || state.order.length !== ids.length)
    broken.push('The order does not list each desktop once.')
  if (!(state.columns >= 1)) broken.push('Desktops stand in no column.')
  const letters = new Set<string>()
  for (const id of state.order) {
    const desktop = state.desktops[id]
    if (!desktop) {
      broken.push(`Desktop ${id} is in the order but does not exist.`)
      continue
    }
    if (desktop.letter && letters.has(desktop.letter))
      broken.push(`Letter ${desktop.letter} stands for two desktops.`)
    if (desktop.letter) letters.add(desktop.letter)
    // Where its windows came from is another desktop's business too.
    broken.push(...fullness(state, desktop))
  }
  for (const [id, desktop] of changed(state.desktops, before?.desktops)) {
    if (desktop.id !== id) broken.push(`Desktop ${id} calls itself ${desktop.id}.`)
    if (!desktop.name.trim()) broken.push(`Desktop ${id} has no name.`)
    for (const window of desktop.windows)
      if (state.windows[window]?.desktop !== id)
        broken.push(`Window ${window} is listed on ${id} but does not live there.`)
  }
  if (state.windows !== before?.windows || state.desktops !== before.desktops)
    for (const { id, focus } of Object.values(state.desktops))
      if (focus && !state.windows[focus])
        broken.push(`Desktop ${id} remembers a window that does not exist.`)
  for (const id of state.visited)
    if (!state.desktops[id]) broken.push(`Visited desktop ${id} does not exist.`)
  for (const home of state.homes)
    if (![EVERY, HERE, NAMED].includes(home.desktop) && !state.desktops[home.desktop])
      broken.push(`Home ${home.id} points at a desktop that does not exist.`)
  if (state.closed.length > CLOSED_KEPT) broken.push('More closed windows are kept than should be.')
  for (const { window } of state.closed)
    if (window.desktop !== EVERY && state.desktops[window.desktop]?.kind !== 'open')
      broken.push(`Closed window ${window.id} remembers a desktop that does not exist.`)
  return broken
}

/** A solo has one window and a pair two, each knowing where to return to. */
function fullness(state: State, { id, kind, windows, origins, divider }: Desktop): string[] {
  if (kind === 'open') return []
  const broken: string[] = []
  const wanted = kind === 'solo' ? 1 : 2
  if (windows.length !== wanted) broken.push(`Desktop ${id} is a ${kind} of ${windows.length}.`)
  if (kind === 'pair' && !(divider && divider >= 0.2 && divider <= 0.8))
    broken.push(`The divider of ${id} is outside 20 to 80 %.`)
  for (const window of windows) {
    const origin = origins?.[window]
    if (!origin) broken.push(`Window ${window} on ${id} does not know where it came from.`)
    else if (origin.desktop !== EVERY && state.desktops[origin.desktop]?.kind !== 'open')
      broken.push(`Window ${window} on ${id} came from a desktop that is not open.`)
    if (state.windows[window]?.minimised) broken.push(`Window ${window} fills ${id} minimised.`)
  }
  return broken
}

function windows(state: State, before: State | undefined): string[] {
  const broken: string[] = []
  if (heightsChanged(state, before)) broken.push(...heights(state))
  for (const id of suspects(state, before)) {
    const window = state.windows[id]
    if (!window) continue
    if (window.id !== id) broken.push(`Window ${id} calls itself ${window.id}.`)
    const list =
      window.desktop === EVERY ? state.everywhere : (state.desktops[window.desktop]?.windows ?? [])
    if (list.filter((other) => other === id).length !== 1)
      broken.push(`Window ${id} is not listed once where it lives.`)
    if (!state.documents[window.document]) broken.push(`Window ${id} shows no document.`)
    broken.push(...framing(state, window))
  }
  for (const id of state.everywhere)
    if (state.windows[id]?.desktop !== EVERY)
      broken.push(`Window ${id} is listed on every desktop but is not.`)
  for (const { window } of state.closed)
    if (state.windows[window.id]) broken.push(`Window ${window.id} is closed and open.`)
  return broken
}

/** The windows a change can have broken a rule of: all where there is no state before. */
function suspects(state: State, before: State | undefined): Iterable<string> {
  const everything =
    !before ||
    state.displays !== before.displays ||
    Object.keys(state.documents).length < Object.keys(before.documents).length
  if (everything) return Object.keys(state.windows)
  const ids = new Set(changed(state.windows, before.windows).map(([id]) => id))
  // What was listed and is not any more has to be listed elsewhere.
  const left = (then: readonly string[], now: readonly string[]) => {
    if (then !== now) for (const id of then) ids.add(id)
  }
  if (state.desktops !== before.desktops)
    for (const [id, { windows }] of Object.entries(before.desktops))
      left(windows, state.desktops[id]?.windows ?? [])
  left(before.everywhere, state.everywhere)
  return ids
}

const heightsChanged = (state: State, before: State | undefined): boolean =>
  !before || state.windows !== before.windows || state.top !== before.top

function heights(state: State): string[] {
  const broken: string[] = []
  const taken = new Set<number>()
  for (const id in state.windows) {
    const z = state.windows[id]?.z ?? 0
    if (taken.has(z)) broken.push(`Window ${id} stands at the same height as another.`)
    taken.add(z)
    if (z > state.top) broken.push(`Window ${id} stands above the top.`)
  }
  return broken
}

/** Size and place of a window are what its app and its display allow. */
function framing(state: State, { id, frame, limits, display: on }: Window): string[] {
  const broken: string[] = []
  const display = state.displays[on]
  if (!display) return [`Window ${id} is on a display that does not exist.`]
  if (frame.width < limits.minWidth || frame.height < limits.minHeight)
    broken.push(`Window ${id} is smaller than its app allows.`)
  if (frame.width > (limits.maxWidth ?? LONGEST))
    broken.push(`Window ${id} is wider than its app allows.`)
  if (frame.height > (limits.maxHeight ?? LONGEST))
    broken.push(`Window ${id} is taller than its app allows.`)
  if (display.connected) {
    const reach = Math.min(frame.x + frame.width, display.width) - Math.max(frame.x, 0)
    if (!(reach >= REACH) || frame.y < 0 || frame.y > Math.max(0, display.height - HEM))
      broken.push(`Window ${id} cannot be reached.`)
  }
  return broken
}

function displays(state: State): string[] {
  const broken: string[] = []
  const shown = new Set<string>()
  for (const display of Object.values(state.displays)) {
    if (!display.connected) continue
    if (!state.desktops[display.shows])
      broken.push(`Display ${display.id} shows a desktop that does not exist.`)
    if (shown.has(display.shows)) broken.push(`Desktop ${display.shows} is shown twice.`)
    shown.add(display.shows)
  }
  if (!state.displays[state.display]?.connected)
    broken.push('The display that takes the keys is not connected.')
  if (state.visited[0] !== state.displays[state.display]?.shows)
    broken.push('The current desktop is not the last one visited.')
  return broken
}

function focus(state: State): string[] {
  if (state.focus === null) return []
  const window = state.windows[state.focus]
  if (!window) return ['The focused window does not exist.']
  return isVisible(state, window) ? [] : ['The focused window cannot be seen.']
}
