import { number } from 'yup'
import { asName, nameLetters } from '@/core/commands/change'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { meant, quoted, which } from '@/core/commands/meant'
import { roomFor } from '@/core/commands/places'
import { keysFor } from '@/core/keys/bindings'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Window } from '@/core/model/kinds/window'
import { current, currentId, title } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { divideAt } from './divider'
import { enter, fill, fullOf, leave, makeFull, tooSmall } from './filling'

const group = 'Windows' as const

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

export const pairCommands = [pair, divide, swap]
