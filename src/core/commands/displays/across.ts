/** From display to display: the keys, and windows. */

import { number, object, string } from 'yup'
import { focusOn, moveTo, settleFocus, takeKeys } from '@/core/commands/change'
import { command, no, type Refusal, type Result, refused } from '@/core/commands/command'
import { framedWindow, on, quoted, which } from '@/core/commands/meant'
import { pluggedDisplay } from '@/core/commands/meantDisplay'
import { moveFrame } from '@/core/commands/windows/place'
import { DIRECTIONS, type Direction, WHERE } from '@/core/geometry/direction'
import type { Point } from '@/core/geometry/rect'
import { besideDisplay, connected, sendOver, standsOn } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { current, currentId, desktop, summary } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Displays' as const

const focus = command({
  id: 'display.focus',
  title: 'Go to a display',
  group,
  unlisted: true,
  step: false,
  args: { to: string().required() },
  plan: (draft, { to }) => {
    const found = displayTo(draft, draft.displays[draft.display], to)
    if (refused(found)) return found
    if (found.id === draft.display) return no(`You are on ${found.name}.`)
    const from = currentId(draft)
    takeKeys(draft, found.id)
    settleFocus(draft)
    return {
      announce: `${found.name}: ${summary(draft, currentId(draft))}`,
      journal: from === currentId(draft) ? [] : [{ kind: 'switch', from, to: currentId(draft) }],
    }
  },
})

/** A display in a direction from another, the `next` one, or one by its id. */
function displayTo(state: State, from: Display | undefined, to: string): Display | Refusal {
  const all = connected(state)
  if (all.length < 2) return no('There is only one display. Add or plug in another first.')
  if (to === 'next') {
    const at = all.findIndex(({ id }) => id === from?.id)
    return all[(at + 1) % all.length] ?? no('There is no other display.')
  }
  if (!(DIRECTIONS as readonly string[]).includes(to)) return pluggedDisplay(state, { display: to })
  const beside = from && besideDisplay(state, from, to as Direction)
  return beside ?? no(`There is no display ${WHERE[to as Direction]}.`)
}

/** The display a window is to go to, or why it cannot. */
function goal(state: State, args: { window?: string; to: string }): Display | Refusal {
  const found = framedWindow(state, args)
  if (refused(found)) return found
  const here = state.displays[standsOn(state, found)]
  const to = displayTo(state, here, args.to)
  if (refused(to)) return to
  if (to.id === here?.id) return no(`${quoted(state, found)} is on ${to.name} already.`)
  const shows = state.desktops[state.presence[to.id]?.shows ?? '']
  if (shows && shows.kind !== 'open')
    return no(
      `${to.name} shows ${shows.name}, which ${shows.kind === 'solo' ? 'one window fills' : 'two windows fill'}. Go to another desktop there first.`,
    )
  return to
}

/** With displays apart it becomes a window of the desktop that is shown there. */
function sendTo(draft: State, found: Window, to: Display): Result {
  const from = found.desktop
  const shows = draft.presence[to.id]?.shows ?? from
  sendOver(draft, found, to.id)
  if (draft.apart && from !== EVERY && from !== shows) {
    moveTo(draft, found.id, shows)
    found.cause = { by: 'hand' }
  }
  found.minimised = false
  const seen = found.desktop !== EVERY || current(draft).kind === 'open'
  if (seen && (found.desktop === EVERY || found.desktop === shows)) focusOn(draft, found.id)
  settleFocus(draft)
  const there = draft.apart && from !== EVERY ? `, ${desktop(draft, shows).name}` : ''
  return {
    say: `Sent ${quoted(draft, found)} to ${to.name}${there}`,
    ...(from !== found.desktop && {
      journal: [
        { kind: 'carry' as const, window: found.id, app: found.app, from, to: found.desktop },
      ],
    }),
  }
}

const toDisplay = command({
  id: 'window.toDisplay',
  title: 'Send window to a display',
  group,
  unlisted: true,
  args: {
    ...which,
    to: string().required(),
    /** Where it is dropped there. */
    at: object({ x: number().required(), y: number().required() }).default(undefined),
  },
  plan: on((draft, found, args: { window?: string; to: string; at?: Point }) => {
    const to = goal(draft, args)
    if (refused(to)) return to
    const result = sendTo(draft, found, to)
    if (args.at) moveFrame(draft, found, args.at)
    return result
  }),
})

const nextDisplay = command({
  id: 'window.nextDisplay',
  title: 'Send window to the next display',
  group,
  args: which,
  plan: on((draft, found, args) => {
    const to = goal(draft, { ...args, to: 'next' })
    return refused(to) ? to : sendTo(draft, found, to)
  }),
})

export const acrossCommands = [focus, toDisplay, nextDisplay]
