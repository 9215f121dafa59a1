import { initialState } from '@/core/model/initial'

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What version 2 added to the state of version 1, with the values that leave all as it was. */
const { columns, apps } = initialState()
const ADDED = { columns, apps }

/**
 * A state as written by any earlier version in the shape of this one: what it did not have yet is
 * filled in, nothing that is there is changed. Anything that is not a state is left as it is.
 */
export function migrated(state: unknown): unknown {
  if (!isObject(state)) return state
  const settings = isObject(state.settings)
    ? { ...initialState().settings, ...state.settings }
    : state.settings
  const desktops = isObject(state.desktops)
    ? Object.fromEntries(Object.entries(state.desktops).map(([id, given]) => [id, kinded(given)]))
    : state.desktops
  return { ...ADDED, ...state, settings, desktops }
}

/** Desktops of version 1 were all open. */
const kinded = (desktop: unknown): unknown =>
  isObject(desktop) ? { kind: 'open', ...desktop } : desktop
