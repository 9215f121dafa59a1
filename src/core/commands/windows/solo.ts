import { number } from 'yup'
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
import { command, type Env, no, type Refusal, refused } from '@/core/commands/command'
import { meant, quoted, which } from '@/core/commands/meant'
import { roomFor } from '@/core/commands/places'
import { keysFor } from '@/core/keys/bindings'
import { standsOn } from '@/core/model/displays'
import type { Desktop } from '@/core/model/kinds/desktop'
import { EVERY, type Window } from '@/core/model/kinds/window'
import {
  current,
  currentId,
  desktop,
  isVisible,
  openDesktop,
  presence,
  title,
} from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import { below } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { divideAt } from './divider'

const group = 'Windows' as const

/** Why a window cannot fill a desktop or half of one, or null. */
const tooSmall = (state: State, found: Window): Refusal | null =>
  found.limits.maxWidth || found.limits.maxHeight
    ? no(`${quoted(state, found)} has a maximum size, so it can’t fill the screen.`)
    : null

/** The solo or pair a window is on. */
const fullOf = (state: State, found: Window): Desktop | undefined => {
  const lives = state.desktops[found.desktop]
  return lives && lives.kind !== 'open' ? lives : undefined
}

/** Moves a window onto a solo or pair and notes exactly where it came from. */
function fill(draft: State, full: Desktop, found: Window): void {
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
function makeFull(
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
function leave(draft: State, full: Desktop, front: Window): string {
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
  else settleFocus(draft)
  return back
}

const solo = command({
  id: 'window.solo',
  title: 'Solo: a desktop to itself',
  group,
  args: which,
  plan: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return found
    const from = currentId(draft)
    const full = fullOf(draft, found)
    if (full) {
      const to = leave(draft, full, found)
      return {
        say: `${quoted(draft, found)} is back on ${desktop(draft, to).name}`,
        ...(from !== to && { journal: [{ kind: 'switch', from, to }] }),
      }
    }
    const refusal = tooSmall(draft, found) ?? roomFor(draft, 1)
    if (refusal) return refusal
    const made = makeFull(draft, env, 'solo', found, title(draft, found))
    fill(draft, made, found)
    enter(draft, made.id, found.id)
    return {
      say: `${quoted(draft, found)} fills a desktop of its own`,
      journal: [{ kind: 'switch', from, to: made.id }],
    }
  },
})

function enter(draft: State, id: string, front: string): void {
  desktop(draft, id).focus = front
  goTo(draft, id)
  focusOn(draft, front)
}

const pair = command({
  id: 'window.pair',
  title: 'Pair: two windows side by side',
  group,
  args: { ...which, with: maybeId() },
  plan: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return found
    const from = currentId(draft)
    const full = fullOf(draft, found)
    if (full?.kind === 'pair' && args.with === undefined) {
      const to = leave(draft, full, found)
      return {
        say: 'Took the pair apart: both windows are back',
        ...(from !== to && { journal: [{ kind: 'switch', from, to }] }),
      }
    }
    const small = tooSmall(draft, found)
    if (small) return small
    if (full?.kind === 'pair')
      return no(
        `${quoted(draft, found)} is already in a pair. ${keysFor(draft, 'window.pair')} takes it apart.`,
      )
    if (args.with === undefined)
      return Object.values(draft.windows).some(
        (other) => other.id !== found.id && !tooSmall(draft, other),
      )
        ? { show: { view: 'pair', window: found.id } }
        : no('There is no other window to pair it with.')
    const other = partner(draft, found, args.with)
    if (refused(other)) return other
    const refusal = full ? null : roomFor(draft, 1)
    if (refusal) return refusal
    const name = `${title(draft, found)} and ${title(draft, other)}`
    const made = full ?? makeFull(draft, env, 'pair', found, name)
    made.kind = 'pair'
    made.divider = 0.5
    if (full) made.name = asName(name)
    else fill(draft, made, found)
    fill(draft, made, other)
    nameLetters(draft)
    enter(draft, made.id, found.id)
    return {
      say: `Paired ${quoted(draft, found)} with ${quoted(draft, other)}`,
      ...(from !== made.id && { journal: [{ kind: 'switch', from, to: made.id }] }),
    }
  },
})

/** The window it is to be paired with. */
function partner(state: State, found: Window, id: string): Window | Refusal {
  const other = state.windows[id]
  if (!other || id === found.id) return no('Choose another window to pair it with.')
  if (fullOf(state, other))
    return no(`${quoted(state, other)} fills a desktop. Bring it back first.`)
  return tooSmall(state, other) ?? other
}

/** The pair one is on. */
function pairHere(state: State): Desktop | Refusal {
  const here = current(state)
  return here.kind === 'pair'
    ? here
    : no(`This desktop is not a pair. ${keysFor(state, 'window.pair')} makes one.`)
}

const divide = command({
  id: 'pair.divide',
  title: 'Move the divider of the pair',
  group,
  unlisted: true,
  args: { to: number(), by: number() },
  plan: (draft, { to, by }) => {
    const here = pairHere(draft)
    return refused(here) ? here : divideAt(here, to, by)
  },
})

const swap = command({
  id: 'pair.swap',
  title: 'Swap the sides of the pair',
  group,
  plan: (draft) => {
    const here = pairHere(draft)
    if (refused(here)) return here
    here.windows.reverse()
    return { say: 'Swapped the sides' }
  },
})

export const soloCommands = [solo, pair, divide, swap]
