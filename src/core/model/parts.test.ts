import { FEW, runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { entriesOf, LISTS, OBJECTS } from './parts'

/** All texts in a value, keys among them. */
function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => [key, ...textsIn(one)])
}

/** What commands are given is asked of them when they are done: a kind does not know what is an id. */
const ARGUMENTS = new Set(['bindings', 'sequences'])

test('every id an object holds is told by its kind: given others, none of the old ones is left', () => {
  const parts = [...entriesOf(OBJECTS), ...entriesOf(LISTS)]
  const held = new Set<string>()
  fc.assert(
    fc.property(fc.array(said, { minLength: 20, maxLength: 120, size: 'max' }), (commands) => {
      const world = new World()
      for (const { id, args } of commands) world.try(id, args(world.state))
      const { state } = world
      const ids = new Set(
        [state.desktops, state.windows, state.documents, state.displays]
          .flatMap((all) => Object.keys(all))
          // The first ones are called by words, which names may be as well.
          .filter((id) => /-\d/.test(id)),
      )
      for (const [part, kind] of parts) {
        if (ARGUMENTS.has(part)) continue
        for (const one of Object.values(state[part])) {
          const left = textsIn(kind.ids(one as never, (_, id) => `~${id}`))
          expect(left.filter((text) => ids.has(text))).toEqual([])
          if (left.some((text) => text.startsWith('~'))) held.add(part)
        }
      }
    }),
    runs(30),
  )
  if (FEW) return
  // Of each there was something, or it would show nothing.
  expect([...held].sort()).toEqual(
    parts
      .map(([part]) => part as string)
      .filter((part) => !ARGUMENTS.has(part))
      .sort(),
  )
})
