import type { Binding, KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'
import {
  type Bound,
  beginningsOf,
  type Heard,
  isBuiltIn,
  lettersOf,
  withoutShift,
} from './bindings'
import { KEYMAPS } from './keymaps'
import { strokesOfLetter } from './letters'

/** What the letter of a desktop says in a place, if anything. */
const BY_LETTER: Partial<Record<KeyPlace, (letter: string) => Bound[]>> = {
  loft: (letter) => [
    { keys: strokesOfLetter(letter), command: 'loft:send', args: { to: letter } },
    { keys: `Shift+${strokesOfLetter(letter)}`, command: 'loft:row', args: { to: letter } },
  ],
}

type Keyed = Pick<State, 'order' | 'desktops' | 'bindings'>

interface Worked {
  letters: string
  own: Binding[]
  bound: Map<string, Bound>
  beginnings: Set<string>
}

const memo = new Map<KeyPlace, Worked>()

/** What keys say in a place by themselves. */
function builtIn(place: KeyPlace, letters: string): Bound[] {
  const called = letters.split(' ').filter((letter) => letter !== '-')
  return [...KEYMAPS[place], ...called.flatMap((letter) => BY_LETTER[place]?.(letter) ?? [])]
}

function worked(state: Keyed, place: KeyPlace): Worked {
  const letters = lettersOf(state)
  const known = memo.get(place)
  if (known && known.letters === letters && known.own === state.bindings) return known
  const bound = new Map(
    builtIn(place, letters).map(({ keys, command, args }) => [keys, { keys, command, args }]),
  )
  for (const { keys, command, args, place: where } of state.bindings)
    if (where !== place) continue
    else if (command) bound.set(keys, { keys, command, args })
    else bound.delete(keys)
  const made = { letters, own: state.bindings, bound, beginnings: beginningsOf(bound.keys()) }
  memo.set(place, made)
  return made
}

/** Every binding of a place as it is now, by its keys. */
export const bindingsIn = (state: Keyed, place: KeyPlace): ReadonlyMap<string, Bound> =>
  worked(state, place).bound

/** Whether keys say something by themselves, everywhere or in a place. */
export const isBuiltInAt = (state: Keyed, keys: string, place?: KeyPlace): boolean =>
  place
    ? builtIn(place, lettersOf(state)).some((bound) => bound.keys === keys)
    : isBuiltIn(state, keys)

/**
 * What a key means in a place after what was heard there before it. A key can be written in several
 * ways, as it is printed and by where it lies: the first that means something counts.
 */
export function hearIn(state: Keyed, place: KeyPlace, before: string, strokes: string[]): Heard {
  const { bound, beginnings } = worked(state, place)
  for (const stroke of withoutShift(before, strokes)) {
    const keys = before ? `${before} ${stroke}` : stroke
    const found = bound.get(keys)
    if (found) return { kind: 'command', bound: found }
    if (beginnings.has(keys)) return { kind: 'prefix', keys }
  }
  return before ? { kind: 'unknown', keys: `${before} ${strokes[0]}` } : { kind: 'nothing' }
}

/** The keys of a command or an act in a place, the person’s own first; undefined where it has none. */
export function keysIn(
  state: Keyed,
  place: KeyPlace,
  command: string,
  args: object = {},
): string | undefined {
  const wanted = JSON.stringify(args)
  const same = (bound: Bound) =>
    bound.command === command && JSON.stringify(bound.args ?? {}) === wanted
  const own = state.bindings.findLast(
    ({ place: where, command: has, args: given }) =>
      where === place && has === command && JSON.stringify(given ?? {}) === wanted,
  )
  return own?.keys ?? [...bindingsIn(state, place).values()].find(same)?.keys
}
