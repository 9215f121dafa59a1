import { initialState } from '@/core/model/initial'
import { CLOSED } from '@/core/model/kinds/closed'
import { DESKTOP } from '@/core/model/kinds/desktop'
import { arriving, DISPLAY } from '@/core/model/kinds/display'
import { WINDOW } from '@/core/model/kinds/window'
import { isObject } from '@/core/model/shaping'
import { knownSettings } from '@/core/settings/table'

type Given = Record<string, unknown>

/** The parts that were added to the state since version 1. */
const NAMES = [
  'columns',
  'apps',
  'apart',
  'guide',
  'sequences',
  'attention',
  'answering',
  'stowed',
  'patterns',
  'runs',
  'running',
  'plan',
  'tethered',
  'exceptions',
  'declined',
] as const

const first = initialState()
/** Each with the value that leaves all as it was. */
const ADDED = Object.fromEntries(NAMES.map((name) => [name, first[name]]))

/**
 * A state as written by any earlier version in the shape of this one: what it did not have yet is
 * filled in, what stood elsewhere is brought to its place. Anything that is not a state is left as
 * it is.
 */
export function migrated(state: unknown): unknown {
  if (!isObject(state)) return state
  const settings = isObject(state.settings) ? knownSettings(state.settings) : state.settings
  const desktops = each(state.desktops, DESKTOP.older)
  const filled = { ...ADDED, ...state, settings, desktops }
  return isOlder(state) ? parted(filled) : filled
}

/** Whether a state was written before version 3: its next changes cannot be applied to it. */
export const isOlder = (state: unknown): boolean => isObject(state) && !('stacking' in state)

/**
 * Version 3 keeps the stacking apart from the windows, and where the person is apart from the
 * displays: before, a window had a height, a display what it shows, and there was one focus.
 */
function parted(state: Given): Given {
  const { focus, visited, top: _top, ...rest } = state
  const heights = heightsOf(state.windows)
  const stacking = heights.map(([id]) => id)
  const shows = isObject(state.displays) ? state.displays : {}
  const presence = Object.fromEntries(
    Object.entries(shows).map(([id, display]) => {
      const there = arriving(isObject(display) ? String(display.shows) : '')
      return [id, id === state.display ? { ...there, focus, visited } : there]
    }),
  )
  return {
    presence,
    ...rest,
    stacking,
    windows: each(state.windows, WINDOW.older),
    displays: each(state.displays, DISPLAY.older),
    desktops: each(state.desktops, (desktop) =>
      isObject(desktop.origins)
        ? { ...desktop, origins: each(desktop.origins, (origin) => stoodOn(origin, heights)) }
        : desktop,
    ),
    closed: Array.isArray(state.closed)
      ? state.closed.map((closed) => (isObject(closed) ? CLOSED.older?.(closed) : closed))
      : state.closed,
  }
}

/** The windows with their heights, the lowest first. */
function heightsOf(windows: unknown): [string, number][] {
  const all = isObject(windows) ? Object.entries(windows) : []
  return all
    .map(([id, window]): [string, number] => [id, Number(isObject(window) ? window.z : 0) || 0])
    .sort(([, a], [, b]) => a - b)
}

/** Where a window of a solo or a pair goes back to was a height; now it is the window below. */
function stoodOn({ z, ...origin }: Given, heights: [string, number][]): Given {
  const below = heights.findLast(([, height]) => height < Number(z))
  return { ...origin, on: below?.[0] ?? null }
}

/** All objects by id changed; what is not an object stays as it is. */
const each = (objects: unknown, change: ((object: Given) => Given) | undefined): unknown =>
  isObject(objects) && change
    ? Object.fromEntries(
        Object.entries(objects).map(([id, one]) => [id, isObject(one) ? change(one) : one]),
      )
    : objects
