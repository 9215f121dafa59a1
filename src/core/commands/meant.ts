/** Which window a command is about, and whether it can be. */

import { keysFor } from '@/core/keys/bindings'
import type { Window } from '@/core/model/kinds/window'
import { peek } from '@/core/model/peek'
import { focusId, title, window } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { type Env, no, type Refusal, type Result, refused } from './command'

export const which = { window: maybeId() }

interface Given {
  window?: string
}

/** The window meant: the one named, or the focused one; or why there is none. */
export function meant(state: State, id: string | undefined): Window | Refusal {
  const found = looked(state, id)
  return refused(found) ? found : window(state, found.id)
}

/** The same, to be read only. */
function looked(state: State, id: string | undefined): Window | Refusal {
  const found = peek(state.windows, id ?? focusId(state) ?? '')
  if (found) return found
  return no(id ? 'That window is no longer open.' : 'No window has the focus. Click one first.')
}

/** The window meant, where it has a frame to change: one that fills a desktop has none. */
export function framedWindow(state: State, args: Given): Window | Refusal {
  const found = meant(state, args.window)
  if (refused(found)) return found
  const kind = state.desktops[found.desktop]?.kind
  return kind === 'solo' || kind === 'pair'
    ? no(
        `${quoted(state, found)} is in a ${kind}. ${keysFor(state, 'window.solo')} brings it back first.`,
      )
    : found
}

const onFound =
  (find: (state: State, args: Given) => Window | Refusal) =>
  <Args extends Given>(
    change: (draft: State, found: Window, args: Args, env: Env) => Result | Refusal | undefined,
  ) =>
  (draft: State, args: Args, env: Env): Result | Refusal | undefined => {
    const found = find(draft, args)
    return refused(found) ? found : change(draft, found, args, env)
  }

/** Plans a change of the window meant, where there is one. */
export const on = onFound((state, args) => meant(state, args.window))

/** Plans what leaves the window meant as it is, or changes it by its id. */
export const lookingAt = onFound((state, args) => looked(state, args.window))

/** Plans a change of the frame of the window meant, where it has one. */
export const onFramed = onFound(framedWindow)

export const quoted = (state: State, found: Window) => `“${title(state, found)}”`
