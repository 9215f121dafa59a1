import { runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import { PUBLISHED } from './published'
import { settingsFile } from './settingsFile'
import { shelfFile } from './shelfFile'

const ajv = new Ajv({ strict: false, allErrors: false })
const validators = Object.fromEntries(
  Object.entries(PUBLISHED).map(([name, made]) => [name, ajv.compile(made())]),
)

/** What a schema says against a file, in words; empty where nothing. */
const against = (name: string, file: unknown): string => {
  const validate = validators[name]
  if (!validate) throw new Error(`no schema ${name}`)
  return validate(JSON.parse(JSON.stringify(file))) ? '' : ajv.errorsText(validate.errors)
}

test('what is exported is as the published schemas say, whatever was done before', () => {
  fc.assert(
    fc.property(fc.array(said, { maxLength: 40 }), (commands) => {
      const world = new World()
      for (const { id, args } of commands) world.try(id, args(world.state))
      expect(against('settings', settingsFile(world.state, 1000))).toBe('')
      expect(against('shelf', shelfFile(world.state, {}, 1000))).toBe('')
    }),
    runs(15),
  )
})

test.each([
  ['settings', { format: 'other' }, /format|required/],
  ['settings', { bindings: [{ keys: 1, command: null }] }, /keys/],
  ['settings', { bindings: [{ keys: 'T', place: 'attic', command: null }] }, /place|enum|allowed/],
  ['settings', { homes: undefined }, /homes/],
] as const)('a %s file with %j is refused by its schema', (name, change, why) => {
  const file = { ...settingsFile(new World().state, 1000), ...change }
  expect(against(name, file)).toMatch(why)
})

test('a shelf file with a broken window is refused by its schema', () => {
  const world = new World()
  world.open()
  const file = JSON.parse(JSON.stringify(shelfFile(world.state, {}, 1000)))
  for (const window of Object.values(file.state.windows) as { frame: object }[])
    window.frame = { x: 'left', y: 0, width: 100, height: 100 }
  expect(against('shelf', file)).toContain('/frame/x')
})
