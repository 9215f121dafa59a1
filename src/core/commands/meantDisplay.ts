/** Which display a command is about, and whether it can be. */

import { connected } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { no, type Refusal, type Result, refused } from './command'

export const whichDisplay = { display: maybeId() }

interface Given {
  display?: string
}

/** The display meant: the one named, or the one that takes the keys. */
export function meantDisplay(state: State, { display }: Given): Display | Refusal {
  const found = state.displays[display ?? state.display]
  return found ?? no('That display no longer exists.')
}

/** As `meantDisplay`, where it is plugged in. */
export function pluggedDisplay(state: State, args: Given): Display | Refusal {
  const found = meantDisplay(state, args)
  if (refused(found) || found.connected) return found
  return no(`${found.name} isn’t plugged in. Plug it in first.`)
}

/**
 * The display meant by what can be done with any but a browser window itself: the one named, the
 * one that takes the keys, or where that is a browser window, the first other.
 */
export function otherDisplay(state: State, { display }: Given): Display | Refusal {
  const here = state.displays[state.display]
  if (display || !here?.measured) return pluggedDisplay(state, display ? { display } : {})
  const other = connected(state).find(({ id, measured }) => id !== here.id && !measured)
  return other ?? no('There is no other display. Add or plug in one first.')
}

/** Plans a change of the display meant, where there is one. */
export const onDisplay =
  <Args extends Given>(
    change: (draft: State, found: Display, args: Args) => Result | Refusal | undefined,
    find: (state: State, args: Given) => Display | Refusal = meantDisplay,
  ) =>
  (draft: State, args: Args): Result | Refusal | undefined => {
    const found = find(draft, args)
    return refused(found) ? found : change(draft, found, args)
  }
