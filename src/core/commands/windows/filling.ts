import {
  asName,
  focusOn,
  goTo,
  makeDesktop,
  moveTo,
  nameLetters,
  putBack,
  settleFocus,
  show,
} from '@/core/commands/change'
import { type Env, no, type Refusal } from '@/core/commands/command'
import { quoted } from '@/core/commands/meant'
import { standsOn } from '@/core/model/displays'
import type { Desktop } from '@/core/model/kinds/desktop'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { currentId, desktop, isVisible, openDesktop, presence } from '@/core/model/selectors'
import { below } from '@/core/model/stacking'
import type { State } from '@/core/model/state'

/** Why a window cannot fill a desktop or half of one, or null. */
export const tooSmall = (state: State, found: Window): Refusal | null =>
  found.limits.maxWidth || found.limits.maxHeight
    ? no(`${quoted(state, found)} has a maximum size, so it can’t fill the screen.`)
    : null

/** The solo or pair a window is on. */
export const fullOf = (state: State, found: Window): Desktop | undefined => {
  const lives = state.desktops[found.desktop]
  return lives && lives.kind !== 'open' ? lives : undefined
}

/** Moves a window onto a solo or pair and notes exactly where it came from. */
export function fill(draft: State, full: Desktop, found: Window): void {
  const from = found.desktop
  const list = from === EVERY ? draft.everywhere : desktop(draft, from).windows
  full.origins = {
    ...full.origins,
    [found.id]: {
      desktop: from,
      at: list.indexOf(found.id),
      on: below(draft, found.id),
      minimised: found.minimised,
      focused: from !== EVERY && desktop(draft, from).focus === found.id,
    },
  }
  moveTo(draft, found.id, full.id)
  found.minimised = false
}

/** Makes a desktop right after the one a window is on, in its hue, named after what it shows. */
export function makeFull(
  draft: State,
  env: Env,
  kind: 'solo' | 'pair',
  of: Window,
  name: string,
): Desktop {
  const beside = of.desktop === EVERY ? currentId(draft) : of.desktop
  const made = makeDesktop(draft, env, asName(name))
  draft.order = draft.order.filter((id) => id !== made.id)
  draft.order.splice(draft.order.indexOf(beside) + 1, 0, made.id)
  made.kind = kind
  made.hue = desktop(draft, beside).hue
  made.origins = {}
  nameLetters(draft)
  return made
}

/** Puts the windows of a solo or a pair back and goes where the one in front came from. */
export function leave(draft: State, full: Desktop, front: Window): string {
  const origin = full.origins?.[front.id]
  const back = origin && origin.desktop !== EVERY ? origin.desktop : openDesktop(draft, full.id)
  // One after the other as they came, so that each finds its place in the list.
  const ids = Object.keys(full.origins ?? {}).reverse()
  // Shown first and focused last, so that nothing is raised on the way.
  const went = currentId(draft) === full.id && show(draft, back)
  for (const id of ids) putBack(draft, id)
  const remembered = draft.windows[desktop(draft, back).focus ?? '']
  const seen = remembered && isVisible(draft, remembered)
  if (went && seen && standsOn(draft, remembered) === draft.display)
    presence(draft).focus = remembered.id
  // What another display showed of it may have gone back out of sight.
  settleFocus(draft)
  return back
}

export function enter(draft: State, id: string, front: string): void {
  desktop(draft, id).focus = front
  goTo(draft, id)
  focusOn(draft, front)
}
