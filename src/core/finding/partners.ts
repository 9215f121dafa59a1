import { nearest } from '@/core/geometry/direction'
import type { WindowId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { isVisible, placeOf, window as windowOf } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { type Found, openWindows } from './find'

/**
 * The windows that another can be paired with: what stands to its left and right first, then what was
 * used last.
 */
export function partners(state: State, apps: AppFacts[], id: WindowId): Found[] {
  const beside = besideIt(state, windowOf(state, id))
  const rank = (one: Found) => (beside.has(one.id) ? 0 : 1)
  return openWindows(state, apps)
    .filter((one) => one.id !== id && canShare(state, windowOf(state, one.id)))
    .sort((a, b) => rank(a) - rank(b))
}

/** The windows in sight that stand to the left and to the right of one. */
function besideIt(state: State, window: Window): Set<WindowId> {
  const others = Object.values(state.windows).filter(
    (other) => other.id !== window.id && isVisible(state, other),
  )
  const places = others.map((other) => placeOf(state, other))
  const found = (['left', 'right'] as const).flatMap((direction) => {
    const at = nearest(placeOf(state, window), places, direction)
    return at === null ? [] : (others[at]?.id ?? [])
  })
  return new Set(found)
}

/** Whether a window can share a desktop: it has no largest size, and fills none yet. */
const canShare = ({ desktops }: State, { limits, desktop }: Window): boolean =>
  !limits.maxWidth && !limits.maxHeight && (desktop === EVERY || desktops[desktop]?.kind === 'open')
