import { bindings, lettered, PLACES, VERBS } from '@/core/keys/bindings'
import type { State } from '@/core/model/state'
import { allWords } from '@/core/text/plain'
import type { Bindable } from './bindable'

/** What is said with a verb and a place, and the keys it has. */
export interface Saying extends Bindable {
  verb: string
  /** What begins its keys, as long as nobody bound others. */
  begin: string
}

/** A place with what can be said of it; null where a verb says nothing there. */
export interface Place {
  /** A desktop's id, or one of the places that are none. */
  to: string
  name: string
  sayings: (Saying | null)[]
}

/** The verbs that are told side by side. */
export const TOLD_VERBS = VERBS.filter(({ args }) => !args)

const TITLES: Record<string, (place: string) => string> = {
  go: (place) => `Go to ${place}`,
  carry: (place) => `Carry window to ${place}`,
  send: (place) => `Send window to ${place}`,
  glance: (place) => `Glance at ${place}`,
}

/** Every verb with every place: those that move with one, and each desktop by its name. */
export function sayings(state: State): Place[] {
  const places = [
    ...PLACES.map(({ to, says }) => ({ to, name: says })),
    ...state.order.map((id) => ({ to: id, name: state.desktops[id]?.name ?? '' })),
  ]
  const keys = keysOf(state)
  return places.map(({ to, name }) => ({
    to,
    name,
    sayings: TOLD_VERBS.map(({ name: verb, keys: begin, command: says, makes }) => {
      if (to === 'new' && makes === null) return null
      const made = to === 'new' && makes ? makes : null
      const said = { command: made ?? says, args: made ? {} : { to } }
      const title = TITLES[verb]?.(name) ?? `${verb} ${name}`
      return { verb, begin, title, group: 'Desktops', ...said, keys: keys(said) }
    }),
  }))
}

/** The keys of a command with arguments, whichever way they name a desktop. */
function keysOf(state: State): (said: Pick<Bindable, 'command' | 'args'>) => Bindable['keys'] {
  const as = (command: string, args: object = {}) =>
    `${command} ${JSON.stringify(lettered(state, args))}`
  const own = new Set(
    state.bindings.flatMap(({ keys, place, app, command }) =>
      place || app || !command ? [] : keys,
    ),
  )
  const all = new Map<string, Bindable['keys']>()
  for (const { keys, command, args } of bindings(state).values()) {
    const said = as(command, args)
    all.set(said, [...(all.get(said) ?? []), { keys, own: own.has(keys) }])
  }
  return ({ command, args }) => all.get(as(command, args)) ?? []
}

/** The places with all words of a query in what can be said of them. */
export function searchSayings(all: Place[], query: string): Place[] {
  const has = allWords(query)
  return all.filter(({ name, sayings: said }) =>
    has(
      `${name} ${said.map((one) => (one ? `${one.verb} ${one.keys.map(({ keys }) => keys).join(' ')}` : '')).join(' ')}`,
    ),
  )
}
