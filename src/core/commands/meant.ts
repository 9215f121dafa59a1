/** Which window a command is about, and whether it can be. */

import { maybeId } from '@/core/formats/shape'
import { keysFor } from '@/core/keys/bindings'
import { title } from '@/core/model/selectors'
import type { State, Window } from '@/core/model/types'
import { subject } from './change'
import { no, type Refusal, type Result } from './command'
import { refused } from './places'

export const which = { window: maybeId() }

/** The window meant, or why there is none. */
export function meant(state: State, id: string | undefined): Window | Refusal {
  const found = subject(state, id)
  if (found) return found
  return no(id ? 'That window is not open any more.' : 'No window has the focus. Click one first.')
}

export const there = (state: State, args: { window?: string }): true | Refusal => {
  const found = meant(state, args.window)
  return refused(found) ? found : true
}

/** Runs a change on the window meant; `can` has made sure there is one. */
export const on =
  <Args extends { window?: string }>(
    change: (draft: State, found: Window, args: Args) => Result | undefined,
  ) =>
  (draft: State, args: Args): Result | undefined => {
    const found = meant(draft, args.window)
    return refused(found) ? undefined : change(draft, found, args)
  }

/** The window meant, where it has a frame to change: one that fills a desktop has none. */
export function framedWindow(state: State, args: { window?: string }): Window | Refusal {
  const found = meant(state, args.window)
  if (refused(found)) return found
  const kind = state.desktops[found.desktop]?.kind
  return kind === 'solo' || kind === 'pair'
    ? no(
        `${quoted(state, found)} is in a ${kind}. ${keysFor(state, 'window.solo')} brings it back first.`,
      )
    : found
}

export function framed(state: State, args: { window?: string }): true | Refusal {
  const found = framedWindow(state, args)
  return refused(found) ? found : true
}

export const quoted = (state: State, found: Window) => `“${title(state, found)}”`
