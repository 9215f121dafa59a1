import { isVisible } from './selectors'
import { DESKTOPS_MOST, type Desktop, EVERY, HEM, HERE, NAMED, REACH, type State } from './types'

/**
 * The rules that always hold. Returns one sentence for each that does not, so an empty
 * list means the state is sound. Used by tests after every command and on every load.
 */
export function check(state: State): string[] {
  return [...desktops(state), ...windows(state), ...displays(state), ...focus(state)]
}

function desktops(state: State): string[] {
  const broken: string[] = []
  const ids = Object.keys(state.desktops)
  if (!Object.values(state.desktops).some(({ kind }) => kind === 'open'))
    broken.push('There is no open desktop.')
  if (state.order.length > DESKTOPS_MOST) broken.push('There are more than 40 desktops.')
  if (new Set(state.order).size !== state.order.length || state.order.length !== ids.length)
    broken.push('The order does not list each desktop once.')
  if (state.columns < 1) broken.push('Desktops stand in no column.')
  const letters = new Set<string>()
  for (const id of state.order) {
    const desktop = state.desktops[id]
    if (!desktop) {
      broken.push(`Desktop ${id} is in the order but does not exist.`)
      continue
    }
    if (!desktop.name.trim()) broken.push(`Desktop ${id} has no name.`)
    if (desktop.letter && letters.has(desktop.letter))
      broken.push(`Letter ${desktop.letter} stands for two desktops.`)
    if (desktop.letter) letters.add(desktop.letter)
    broken.push(...fullness(state, desktop))
    for (const window of desktop.windows)
      if (state.windows[window]?.desktop !== id)
        broken.push(`Window ${window} is listed on ${id} but does not live there.`)
    if (desktop.focus && !state.windows[desktop.focus])
      broken.push(`Desktop ${id} remembers a window that does not exist.`)
  }
  for (const id of state.visited)
    if (!state.desktops[id]) broken.push(`Visited desktop ${id} does not exist.`)
  for (const home of state.homes)
    if (![EVERY, HERE, NAMED].includes(home.desktop) && !state.desktops[home.desktop])
      broken.push(`Home ${home.id} points at a desktop that does not exist.`)
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

function windows(state: State): string[] {
  const broken: string[] = []
  const heights = new Set<number>()
  for (const [id, window] of Object.entries(state.windows)) {
    const list =
      window.desktop === EVERY ? state.everywhere : (state.desktops[window.desktop]?.windows ?? [])
    if (list.filter((other) => other === id).length !== 1)
      broken.push(`Window ${id} is not listed once where it lives.`)
    if (!state.documents[window.document]) broken.push(`Window ${id} shows no document.`)
    if (heights.has(window.z)) broken.push(`Window ${id} stands at the same height as another.`)
    heights.add(window.z)
    if (window.z > state.top) broken.push(`Window ${id} stands above the top.`)
    const { frame, limits } = window
    const display = state.displays[window.display]
    if (!display) {
      broken.push(`Window ${id} is on a display that does not exist.`)
      continue
    }
    if (frame.width < limits.minWidth || frame.height < limits.minHeight)
      broken.push(`Window ${id} is smaller than its app allows.`)
    if (frame.width > (limits.maxWidth ?? Number.POSITIVE_INFINITY))
      broken.push(`Window ${id} is wider than its app allows.`)
    if (frame.height > (limits.maxHeight ?? Number.POSITIVE_INFINITY))
      broken.push(`Window ${id} is taller than its app allows.`)
    if (display.connected) {
      const reach = Math.min(frame.x + frame.width, display.width) - Math.max(frame.x, 0)
      if (reach < REACH || frame.y < 0 || frame.y > Math.max(0, display.height - HEM))
        broken.push(`Window ${id} cannot be reached.`)
    }
  }
  for (const id of state.everywhere)
    if (state.windows[id]?.desktop !== EVERY)
      broken.push(`Window ${id} is listed on every desktop but is not.`)
  for (const { window } of state.closed)
    if (state.windows[window.id]) broken.push(`Window ${window.id} is closed and open.`)
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
