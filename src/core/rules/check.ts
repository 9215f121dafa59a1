import { HEM, LONGEST, REACH } from '@/core/geometry/rect'
import { connected, frameOf, standsOn } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import { CLOSED_KEPT } from '@/core/model/kinds/closed'
import { DESKTOPS_MOST, type Desktop } from '@/core/model/kinds/desktop'
import type { Presence } from '@/core/model/kinds/display'
import { desktopOfHome } from '@/core/model/kinds/home'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { type Changes, changesBetween } from './changes'

/** A change of a sound state: only what it can have broken is looked at. */
interface Change {
  before: State
  changes: Changes
}

/**
 * The rules that always hold. Returns one sentence for each that does not, so an empty list means
 * the state is sound. With a change that led to it, the cost follows the change and not the number
 * of windows.
 * @param before the state before, which was sound
 */
export function check(
  state: State,
  before?: State,
  changes: Changes | null = before ? changesBetween(before, state) : null,
): string[] {
  if (before === state) return []
  const change = before && changes ? { before, changes } : undefined
  return [...desktops(state, change), ...windows(state, change), ...displays(state)]
}

/** The objects that are not what they were. */
function changed(state: State, part: 'desktops' | 'windows', change: Change | undefined): string[] {
  return Object.keys(change ? (change.changes.objects[part] ?? {}) : state[part])
}

function desktops(state: State, change: Change | undefined): string[] {
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
  for (const id of changed(state, 'desktops', change)) {
    const desktop = state.desktops[id]
    if (!desktop) continue
    if (desktop.id !== id) broken.push(`Desktop ${id} calls itself ${desktop.id}.`)
    if (!desktop.name.trim()) broken.push(`Desktop ${id} has no name.`)
    for (const window of desktop.windows)
      if (state.windows[window]?.desktop !== id)
        broken.push(`Window ${window} is listed on ${id} but does not live there.`)
  }
  if (state.windows !== change?.before.windows || state.desktops !== change.before.desktops)
    for (const { id, focus } of Object.values(state.desktops))
      if (focus && !state.windows[focus])
        broken.push(`Desktop ${id} remembers a window that does not exist.`)
  for (const block of state.plan)
    if (!state.desktops[block.desktop] || block.end <= block.start)
      broken.push(`Block ${block.id} of the plan has no desktop, or no length.`)
  for (const home of state.homes) {
    const desktop = desktopOfHome(home)
    if (desktop !== null && !state.desktops[desktop])
      broken.push(`Home ${home.id} points at a desktop that does not exist.`)
  }
  for (const { id, desktop, windows, stacking, homes, plan } of state.stowed) {
    if (state.desktops[id]) broken.push(`Desktop ${id} is stowed and there.`)
    const listed = desktop.windows.every((window) => windows[window]?.desktop === id)
    if (desktop.kind !== 'open') broken.push(`Stowed desktop ${id} is filled by a window.`)
    if (desktop.id !== id || !listed || desktop.windows.length !== Object.keys(windows).length)
      broken.push(`Stowed desktop ${id} does not list its windows.`)
    const stood = stacking.map(({ item }) => item)
    if (new Set(stood).size !== desktop.windows.length || !stood.every((window) => windows[window]))
      broken.push(`Stowed desktop ${id} does not know how its windows stood.`)
    for (const { item } of [...homes, ...plan])
      if (item.desktop !== id) broken.push(`Stowed desktop ${id} keeps what belongs to another.`)
    if (plan.some(({ item }) => item.end <= item.start))
      broken.push(`Stowed desktop ${id} keeps a block that ends before it begins.`)
    for (const window of Object.values(windows)) {
      if (state.windows[window.id]) broken.push(`Window ${window.id} is stowed and open.`)
      if (!state.documents[window.document])
        broken.push(`Stowed window ${window.id} shows no document.`)
    }
  }
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

function windows(state: State, change: Change | undefined): string[] {
  const broken = stacking(state, change)
  for (const id of suspects(state, change)) {
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
function suspects(state: State, change: Change | undefined): Iterable<string> {
  if (!change) return Object.keys(state.windows)
  const { before, changes } = change
  const { documents = {} } = changes.objects
  if (state.displays !== before.displays || Object.values(documents).includes(null))
    return Object.keys(state.windows)
  const ids = new Set(changed(state, 'windows', change))
  // What was listed and is not any more has to be listed elsewhere.
  const left = (then: readonly string[] = [], now: readonly string[] = []) => {
    if (then === now) return
    const still = new Set(now)
    const twice = still.size !== now.length
    for (const id of then) if (twice || !still.has(id)) ids.add(id)
  }
  for (const id of changed(state, 'desktops', change))
    left(before.desktops[id]?.windows, state.desktops[id]?.windows)
  left(before.everywhere, state.everywhere)
  return ids
}

/** Every window stands in the stack once, and nothing else does. */
function stacking({ stacking: all, windows }: State, change: Change | undefined): string[] {
  const ids = Object.keys(change ? (change.changes.objects.windows ?? {}) : windows)
  const isThere = (id: string) => Object.hasOwn(windows, id)
  const was = (id: string) => change !== undefined && Object.hasOwn(change.before.windows, id)
  // The same windows, one of which may stand elsewhere among them.
  const same = change && (all === change.before.stacking || change.changes.moved)
  if (same && ids.every((id) => isThere(id) && was(id))) return []
  const standing = new Set(all)
  let count = change ? change.before.stacking.length : 0
  for (const id of ids) count += Number(isThere(id)) - Number(was(id))
  const right = ids.every((id) => isThere(id) === standing.has(id))
  return right && standing.size === all.length && all.length === count
    ? []
    : ['The stack does not list each window once.']
}

/** Size and place of a window are what its app and its display allow. */
function framing(state: State, window: Window): string[] {
  const { id, frame, limits } = window
  const broken: string[] = []
  const display = state.displays[standsOn(state, window)]
  if (!state.displays[window.display] || !display)
    return [`Window ${id} is on a display that does not exist.`]
  if (frame.width < limits.minWidth || frame.height < limits.minHeight)
    broken.push(`Window ${id} is smaller than its app allows.`)
  if (frame.width > (limits.maxWidth ?? LONGEST))
    broken.push(`Window ${id} is wider than its app allows.`)
  if (frame.height > (limits.maxHeight ?? LONGEST))
    broken.push(`Window ${id} is taller than its app allows.`)
  // A display may have become smaller since it was moved: it is brought within reach where it stands.
  const { x, y, width } = frameOf(state, window)
  const reach = Math.min(x + width, display.width) - Math.max(x, 0)
  if (!(reach >= REACH) || y < 0 || y > Math.max(0, display.height - HEM))
    broken.push(`Window ${id} cannot be reached.`)
  return broken
}

function displays(state: State): string[] {
  const broken: string[] = []
  const shown = new Set<string>()
  for (const { id, connected, mirrors } of Object.values(state.displays)) {
    if (mirrors !== undefined && (connected || mirrors === id || !state.displays[mirrors]))
      broken.push(`Display ${id} cannot mirror ${mirrors}.`)
    const presence = state.presence[id]
    if (!presence) {
      broken.push(`Nothing is known of what display ${id} shows.`)
      continue
    }
    for (const visited of presence.visited)
      if (!state.desktops[visited]) broken.push(`Visited desktop ${visited} does not exist.`)
    if (!connected) continue
    const { shows } = presence
    if (!state.desktops[shows]) broken.push(`Display ${id} shows a desktop that does not exist.`)
    if (state.apart && shown.has(shows)) broken.push(`Desktop ${shows} is shown twice.`)
    if (!state.apart && shown.size > 0 && !shown.has(shows))
      broken.push('Displays that are together do not show the same desktop.')
    shown.add(shows)
    if (presence.visited[0] !== shows)
      broken.push('The current desktop is not the last one visited.')
    broken.push(...focus(state, id, presence))
  }
  for (const id in state.presence)
    if (!Object.hasOwn(state.displays, id))
      broken.push(`There is no display ${id} to be present on.`)
  const open = Object.values(state.desktops).filter(({ kind }) => kind === 'open').length
  if (state.apart && open < connected(state).length)
    broken.push('There are fewer open desktops than displays to show them.')
  const known = new Set(state.displayOrder)
  if (known.size !== state.displayOrder.length || known.size !== Object.keys(state.displays).length)
    broken.push('The order of displays does not list each once.')
  if (!state.displays[state.display]?.connected)
    broken.push('The display that takes the keys is not connected.')
  return broken
}

function focus(state: State, display: DisplayId, { focus: id }: Presence): string[] {
  if (id === null) return []
  const window = state.windows[id]
  if (!window) return ['The focused window does not exist.']
  if (!isVisible(state, window)) return ['The focused window cannot be seen.']
  return standsOn(state, window) === display ? [] : ['The focused window is on another display.']
}
