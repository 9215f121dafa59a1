import { excepted } from '@/core/model/exceptions'
import type { Home } from '@/core/model/kinds/home'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { homeFor, type Moment } from './matching'

/** Where a home sends a window now: a desktop that exists, `every`, or null where it sends nowhere. */
export function destinationOf(state: State, home: Home): string | typeof EVERY | null {
  if (home.desktop === EVERY || state.desktops[home.desktop]) return home.desktop
  if (home.desktop !== 'named') return null
  const named = Object.values(state.desktops)
  return named.find(({ name, kind }) => kind === 'open' && name === home.name)?.id ?? null
}

/** A window that is not where its home says, and where it should go. */
export interface Misplaced {
  window: string
  home: Home
  /** A desktop, `every`, or null where the desktop has to be made first. */
  to: string | null
}

/** Whether a window is away from home. On every desktop, in a solo or a pair none is. */
export function misplaced(state: State, window: Window, moment: Moment): Misplaced | null {
  if (state.desktops[window.desktop]?.kind !== 'open') return null
  if (excepted(state, window.app, 'on every desktop')) return null
  const home = homeFor(state, { app: window.app, title: title(state, window) }, moment)
  if (!home || home.desktop === 'here') return null
  const to = destinationOf(state, home)
  return to === window.desktop ? null : { window: window.id, home, to }
}

/** Every window that is not where its home says, in the order of the desktops. */
export const putRightPlan = (state: State, moment: Moment): Misplaced[] =>
  state.order.flatMap((id) =>
    (state.desktops[id]?.windows ?? []).flatMap((windowId) => {
      const window = state.windows[windowId]
      return (window && misplaced(state, window, moment)) ?? []
    }),
  )
