import { bindings, keysFor, THIS } from '@/core/keys/bindings'
import { keysIn } from '@/core/keys/places'
import type { State } from '@/core/model/state'

/** The keys of a command or an act in the loft, as they are pressed there; undefined where it has none. */
export function loftKeys(state: State, command: string, args: object = {}): string | undefined {
  const plain = keysIn(state, 'loft', command, args)
  if (plain) return plain
  const more = keysIn(state, 'loft', 'loft:more')
  const after = [...bindings(state).values()].find(
    (bound) =>
      bound.command === command &&
      bound.keys.startsWith(`${THIS} `) &&
      JSON.stringify(bound.args ?? {}) === JSON.stringify(args),
  )
  return more && after
    ? `${more} ${after.keys.slice(THIS.length + 1)}`
    : keysFor(state, command, args)
}
