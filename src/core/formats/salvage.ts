import { connected, standsOn } from '@/core/model/displays'
import { initialState } from '@/core/model/initial'
import type { Kind } from '@/core/model/kind'
import { CLOSED_KEPT } from '@/core/model/kinds/closed'
import { DESKTOP, DESKTOPS_MOST, type Desktop, newDesktop } from '@/core/model/kinds/desktop'
import { arriving } from '@/core/model/kinds/display'
import { foundDocument } from '@/core/model/kinds/document'
import { desktopOfHome } from '@/core/model/kinds/home'
import { HUES } from '@/core/model/kinds/look'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { entriesOf, LISTS, OBJECTS, WHOLES } from '@/core/model/parts'
import { isVisible } from '@/core/model/selectors'
import { isObject, objectProblem, problemOf } from '@/core/model/shaping'
import { settleShown } from '@/core/model/showing'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { counted } from '@/core/text/counted'
import { migrated } from './migrations'

/** What could be read of a state that cannot be read whole. */
export interface Salvaged {
  state: State
  /** What was left out or put elsewhere, in words: “2 windows”, “the settings”. */
  lost: string[]
}

/**
 * Reads a state in part: every object that is sound by itself is kept, and brought into agreement
 * with the others; what is not sound is left out and told. Windows whose desktop is gone go to the
 * first open desktop.
 * @returns null where there is nothing to keep
 */
export function salvage(parsed: unknown): Salvaged | null {
  const given = migrated(parsed)
  if (!isObject(given)) return null
  const lost: string[] = []
  const first = initialState()
  const objects = entriesOf(OBJECTS).map(([part, { shape, words }]) => {
    const all = isObject(given[part]) ? Object.entries(given[part]) : []
    const sound = all.filter(([id, object]) => objectProblem(id, object, shape) === null)
    tell(lost, all.length - sound.length, words)
    return [part, Object.fromEntries(sound)]
  })
  const lists = entriesOf(LISTS).map(([part, { shape, words }]) => {
    const all = Array.isArray(given[part]) ? (given[part] as unknown[]) : []
    const sound = all.filter((one) => problemOf(one, shape.required()) === null)
    tell(lost, all.length - sound.length, words)
    return [part, sound]
  })
  const wholes = entriesOf(WHOLES).map(([part, { shape, words }]) => {
    const sound = problemOf(given[part], shape) === null
    if (!sound && words) lost.push(words)
    return [part, sound ? given[part] : first[part]]
  })
  const parts = Object.fromEntries([...objects, ...lists, ...wholes]) as State
  if (Object.keys(parts.desktops).length + Object.keys(parts.windows).length === 0) return null
  const state = agreed(parts, lost)
  return check(state).length === 0 ? { state, lost } : null
}

const tell = (lost: string[], count: number, [one, many]: Kind<never>['words']): void => {
  if (count > 0) lost.push(counted(count, one, many))
}

/** Brings objects that are sound by themselves into agreement with each other. */
function agreed(given: State, lost: string[]): State {
  const state = structuredClone(given)
  const order = [...new Set(state.order)].filter((id) => state.desktops[id])
  for (const id of Object.keys(state.desktops)) if (!order.includes(id)) order.push(id)
  for (const id of order.splice(DESKTOPS_MOST)) {
    delete state.desktops[id]
    tell(lost, 1, DESKTOP.words)
  }
  state.order = order
  // Solos and pairs are more than their parts: where one does not hold, its windows come out.
  for (const desktop of Object.values(state.desktops)) if (!isWhole(state, desktop)) open(desktop)
  if (!Object.values(state.desktops).some(({ kind }) => kind === 'open')) {
    const made = newDesktop({ id: freeId(state), name: 'Found', hue: HUES[0] })
    state.desktops[made.id] = made
    // One that is full gives its place up.
    if (state.order.length === DESKTOPS_MOST) {
      const gone = state.order.pop() ?? ''
      delete state.desktops[gone]
    }
    state.order.unshift(made.id)
  }
  settleLetters(state)
  settleDisplays(state)
  settleWindows(state, lost)
  settleLists(state)
  return state
}

const freeId = ({ desktops }: State): string => {
  let id = 'found'
  while (desktops[id]) id += '-'
  return id
}

function isWhole(state: State, { id, kind, windows, origins, divider }: Desktop): boolean {
  if (kind === 'open') return true
  return (
    windows.length === (kind === 'solo' ? 1 : 2) &&
    (kind === 'solo' || divider !== undefined) &&
    windows.every((window) => {
      const from = origins?.[window]?.desktop
      const there = from === EVERY || (from !== undefined && state.desktops[from]?.kind === 'open')
      const shown = state.windows[window]
      return there && shown?.desktop === id && !shown.minimised
    })
  )
}

function open(desktop: Desktop): void {
  desktop.kind = 'open'
  delete desktop.origins
  delete desktop.divider
}

function settleLetters({ order, desktops }: State): void {
  const taken = new Set<string>()
  for (const id of order) {
    const desktop = desktops[id]
    if (!desktop?.letter) continue
    if (taken.has(desktop.letter)) Object.assign(desktop, { letter: null, letterByHand: false })
    else taken.add(desktop.letter)
  }
  for (const desktop of Object.values(desktops)) if (!desktop.name.trim()) desktop.name = 'Nameless'
}

function settleDisplays(state: State): void {
  if (Object.keys(state.displays).length === 0)
    state.displays = structuredClone(initialState().displays)
  const ids = Object.keys(state.displays)
  state.displayOrder = [...new Set([...state.displayOrder, ...ids])].filter(
    (id) => state.displays[id],
  )
  for (const one of Object.values(state.displays))
    if (one.connected || one.mirrors === one.id || !state.displays[one.mirrors ?? ''])
      delete one.mirrors
  const first = state.displays[state.displayOrder[0] ?? '']
  if (first && connected(state).length === 0) first.connected = true
  if (!state.displays[state.display]?.connected) state.display = connected(state)[0]?.id ?? ''
  // Apart, each needs an open desktop to show.
  const open = Object.values(state.desktops).filter(({ kind }) => kind === 'open').length
  const others = connected(state).filter(({ id }) => id !== state.display)
  if (state.apart)
    for (const display of others.slice(Math.max(0, open - 1))) display.connected = false
  state.presence = Object.fromEntries(
    ids.map((id) => {
      const there = state.presence[id] ?? arriving('')
      return [id, { ...there, visited: [...new Set(there.visited)] }]
    }),
  )
  settleShown(state)
}

function settleWindows(state: State, lost: string[]): void {
  const openId = state.order.find((id) => state.desktops[id]?.kind === 'open') ?? ''
  const known = new Set(state.stacking.filter((id) => state.windows[id]))
  const all = Object.values(state.windows)
  state.stacking = [...known, ...all.map(({ id }) => id).filter((id) => !known.has(id))]
  const listed = new Map<string, string[]>()
  let moved = 0
  for (const window of all) {
    if (window.desktop !== EVERY && !state.desktops[window.desktop]) {
      window.desktop = openId
      moved++
    }
    if (!state.displays[window.display]) window.display = state.display
    fitted(window)
    const { document, app, openedAt } = window
    state.documents[document] ??= foundDocument({ id: document, app, openedAt })
    listed.set(window.desktop, [...(listed.get(window.desktop) ?? []), window.id])
  }
  if (moved) lost.push(moved === 1 ? 'where 1 window stood' : `where ${moved} windows stood`)
  const inOrder = (before: string[], lives: string): string[] => {
    const here = listed.get(lives) ?? []
    const sound = [...new Set(before)].filter((id) => here.includes(id))
    return [...sound, ...here.filter((id) => !sound.includes(id))]
  }
  for (const desktop of Object.values(state.desktops)) {
    desktop.windows = inOrder(desktop.windows, desktop.id)
    if (desktop.focus && !state.windows[desktop.focus]) desktop.focus = null
  }
  state.everywhere = inOrder(state.everywhere, EVERY)
  for (const [id, there] of Object.entries(state.presence)) {
    const focused = state.windows[there.focus ?? '']
    if (!focused || !isVisible(state, focused) || standsOn(state, focused) !== id)
      there.focus = null
  }
}

/** Its size as the app's limits allow; it is brought within reach wherever it stands. */
function fitted(window: Window): void {
  const { frame, limits } = window
  const within = (value: number, least: number, most = Number.POSITIVE_INFINITY) =>
    Math.max(least, Math.min(value, most))
  frame.width = within(frame.width, limits.minWidth, limits.maxWidth)
  frame.height = within(frame.height, limits.minHeight, limits.maxHeight)
}

function settleLists(state: State): void {
  const seen = new Set<string>()
  state.stowed = state.stowed.flatMap((one) => {
    const windows = Object.values(one.windows).filter(
      ({ id, document }) => !state.windows[id] && state.documents[document],
    )
    if (state.desktops[one.id] || seen.has(one.id) || one.desktop.id !== one.id) return []
    seen.add(one.id)
    const ids = windows.map(({ id }) => id)
    const kept = (id: string) => ids.includes(id)
    const { desktop } = one
    return {
      ...one,
      desktop: {
        ...desktop,
        windows: [
          ...desktop.windows.filter(kept),
          ...ids.filter((id) => !desktop.windows.includes(id)),
        ],
        focus: desktop.focus && kept(desktop.focus) ? desktop.focus : null,
      },
      windows: Object.fromEntries(windows.map((window) => [window.id, window])),
      stacking: one.stacking.filter(({ item }) => kept(item)),
    }
  })
  const lives = (id: string) => id === EVERY || state.desktops[id]?.kind === 'open'
  state.closed = state.closed
    .filter(({ window }) => !state.windows[window.id] && lives(window.desktop))
    .slice(0, CLOSED_KEPT)
  state.plan = state.plan.filter(
    ({ desktop, start, end }) => state.desktops[desktop] && end > start,
  )
  state.homes = state.homes.filter((home) => {
    const desktop = desktopOfHome(home)
    return desktop === null || state.desktops[desktop]
  })
}
