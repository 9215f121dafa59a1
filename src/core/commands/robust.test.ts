import { runs } from '@testing/runs'
import { expectSame } from '@testing/same'
import { World } from '@testing/world'
import fc from 'fast-check'
import type { SchemaDescription, SchemaFieldDescription, SchemaInnerTypeDescription } from 'yup'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { registry } from './registry'

/** A shelf with a bit of everything: a solo, a pair, a minimised window, homes, an own app. */
function busy(): State {
  const world = new World()
  world.desktops('Field', 'Rota', 'Model')
  world.open('notes', 'One')
  world.run('window.minimise')
  world.run('window.everywhere', { windows: [world.open('dial')] })
  world.open('notes', 'Full')
  world.run('window.solo')
  world.run('desktop.go', { to: 'Rota' })
  const left = world.open('notes', 'Left')
  world.run('window.pair', { window: left, with: world.open('notes', 'Right') })
  world.run('desktop.go', { to: 'first' })
  world.run('window.close', { window: world.open('notes', 'Gone') })
  world.run('home.set', { app: 'notes', desktop: 'first', follow: true })
  world.run('app.add', { name: 'Ridge', address: 'https://ridge.test/' })
  return world.state
}

const state = busy()
const TEXTS = [
  '',
  ' ',
  'gone',
  'next',
  'new',
  'last',
  'above',
  'every',
  'here',
  'F',
  'Field',
  '__proto__',
  'constructor',
  ...state.order,
  ...Object.keys(state.windows),
  ...Object.keys(state.documents),
  ...Object.keys(state.displays),
  ...Object.keys(state.apps),
  'notes',
  'x'.repeat(5000),
]

/** Anything a person at the console might give for an argument: right, odd, missing or absurd. */
function anything(field: SchemaFieldDescription): fc.Arbitrary<unknown> {
  const text = fc.constantFrom(...TEXTS)
  const odd = fc.constantFrom<unknown>(undefined, null, 0, -1, 1.5, 1e12, Number.NaN, '', [], {})
  const right = (): fc.Arbitrary<unknown> => {
    switch (field.type) {
      case 'string':
        return allowed(field) ?? text
      case 'number':
        return fc.oneof(fc.integer({ min: -3, max: 12 }), fc.double(), fc.integer())
      case 'boolean':
        return fc.boolean()
      case 'array': {
        const inner = (field as SchemaInnerTypeDescription).innerType as SchemaDescription
        return fc.array(inner ? anything(inner) : text, { maxLength: 3 })
      }
      case 'object':
        return fc.record(fieldsOf(field), { requiredKeys: [] })
      default:
        return odd
    }
  }
  return fc.oneof({ weight: 6, arbitrary: right() }, { weight: 1, arbitrary: odd })
}

/** One of the words the argument may be, where only some are. */
function allowed(field: SchemaFieldDescription): fc.Arbitrary<unknown> | undefined {
  const { oneOf = [] } = field as SchemaDescription
  return oneOf.length ? fc.constantFrom(...oneOf) : undefined
}

const fieldsOf = (field: unknown): Record<string, fc.Arbitrary<unknown>> =>
  Object.fromEntries(
    Object.entries((field as { fields?: Record<string, SchemaFieldDescription> }).fields ?? {}).map(
      ([name, one]) => [name, anything(one)],
    ),
  )

test.each([...registry.keys()])('%s takes or refuses whatever it is given', (id) => {
  const args = fc.record(fieldsOf(registry.get(id)?.args.describe()), { requiredKeys: [] })
  fc.assert(
    fc.property(args, (given) => {
      const world = new World(state)
      let made = 0
      world.env.id = (kind) => `made-${kind}-${++made}`
      const outcome = world.try(id, given)
      // Of sixty times eighty commands: what looks at a state costs more than the command.
      if (!outcome.ok && (!outcome.reason.trim() || world.state !== state))
        throw new Error(`Refused with “${outcome.reason}”, and the state is not as it was`)
      if (world.state !== state) expectSame(check(world.state), [])
    }),
    runs(60),
  )
})
