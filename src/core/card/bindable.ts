import type { Command } from '@/core/commands/command'
import { registry } from '@/core/commands/registry'
import { DIRECTIONS, type Direction } from '@/core/geometry/direction'
import { type Bound, bindings, FIXED, isBuiltIn, PLACES, VERBS } from '@/core/keys/bindings'
import { KEYMAPS } from '@/core/keys/keymaps'
import { bindingsIn, isBuiltInAt } from '@/core/keys/places'
import { type Binding, KEY_PLACES, type KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'
import { allWords } from '@/core/text/plain'
import { capital, inWords, wordsIn } from './card'

/** Something keys can be bound to, with those it has. */
export interface Bindable {
  command: string
  args: Record<string, unknown>
  /** What it is called, with its arguments. */
  title: string
  group: string
  /** Where its keys are heard, if not everywhere. */
  place?: KeyPlace
  keys: { keys: string; own: boolean }[]
}

export const idOf = ({
  command,
  args,
  place,
}: Pick<Bound, 'command' | 'args'> & Pick<Bindable, 'place'>): string =>
  `${place ?? ''} ${command} ${JSON.stringify(args ?? {})}`

const spoken = new Set(VERBS.flatMap(({ command, makes }) => [command, makes]))

/**
 * Everything keys can be bound to: each command that needs no more said, and each with the arguments
 * it is bound with. What a letter or a place says is the key language itself and not among them.
 */
export function bindable(state: State, appName: (id: string) => string): Bindable[] {
  const found = new Map<string, Bindable>()
  const put = (command: string, args: Record<string, unknown>): Bindable | undefined => {
    const id = idOf({ command, args })
    const known = found.get(id)
    const defined = registry.get(command)
    if (known || !defined) return known
    // The card tells the four arrows as one.
    const one = Object.keys(args).length > 0 && !DIRECTIONS.includes(args.to as Direction)
    const said = one ? inWords(state, command, args, appName) : null
    const made = {
      command,
      args,
      title: said ?? titled(defined.title, args),
      group: defined.group,
      keys: [],
    }
    found.set(id, made)
    return made
  }
  for (const { command, args } of FIXED) put(command, args ?? {})
  for (const { id } of state.patterns) put('patterns.open', { pattern: id })
  for (const { id } of state.sequences) put('sequence.run', { sequence: id })
  for (const command of registry.values()) if (isWhole(command)) put(command.id, {})
  for (const { keys, command, args } of bindings(state).values()) {
    // What a verb says of a place is told with the others of its kind.
    if (spoken.has(command) && (isBuiltIn(state, keys) || isSaying(state, args))) continue
    put(command, args ?? {})?.keys.push({ keys, own: isOwn(state, keys) })
  }
  return [...found.values(), ...KEY_PLACES.flatMap((place) => bindableIn(state, place))]
}

/** What has keys in a place: what is there from the first, and what the person put there. */
function bindableIn(state: State, place: KeyPlace): Bindable[] {
  const found = new Map<string, Bindable>()
  const put = ({ command, args = {} }: Pick<Bound, 'command' | 'args'>): Bindable => {
    const id = idOf({ command, args, place })
    const title = capital(wordsIn(place, command, args, 'alone') ?? command)
    const made = found.get(id) ?? { command, args, title, group: place, place, keys: [] }
    found.set(id, made)
    return made
  }
  for (const act of KEYMAPS[place]) put(act)
  for (const bound of bindingsIn(state, place).values())
    if (wordsIn(place, bound.command, bound.args) !== null)
      put(bound).keys.push({ keys: bound.keys, own: isOwn(state, bound.keys, place) })
  return [...found.values()]
}

/** Whether only a place that is there is said, and nothing besides. */
function isSaying({ desktops }: State, { to, ...rest }: Record<string, unknown> = {}): boolean {
  const known = PLACES.some((place) => place.to === to) || Object.hasOwn(desktops, String(to))
  const called = () => Object.values(desktops).some(({ letter }) => letter === to)
  return Object.keys(rest).length === 0 && (to === undefined || known || called())
}

const isOwn = (state: State, keys: string, place?: KeyPlace): boolean =>
  state.bindings.some(
    (one) => !one.app && one.keys === keys && one.place === place && one.command !== null,
  )

/** A title with the arguments it does not tell. */
const titled = (title: string, args: Record<string, unknown>): string =>
  [title, ...Object.values(args)].join(': ')

/** Whether a command needs no more said. */
export const isWhole = ({ args }: Pick<Command, 'args'>): boolean => args.isValidSync({})

/** Built-in keys the person switched off, and where they were heard. */
export const switchedOff = (state: State): Pick<Binding, 'keys' | 'place'>[] =>
  state.bindings.flatMap(({ keys, command, place, app }) =>
    command === null && !app && isBuiltInAt(state, keys, place)
      ? { keys, ...(place && { place }) }
      : [],
  )

/** The bindables with all words of a query in their title, group or keys. */
export function searchBindable(all: Bindable[], query: string): Bindable[] {
  const has = allWords(query)
  return all.filter(({ title, group, keys }) =>
    has(`${title} ${group} ${keys.map((one) => one.keys).join(' ')}`),
  )
}
