import { World } from '@testing/world'
import { appKeyMeant, appKeys } from './appKeys'

const notes = (world: World) => {
  const facts = world.env.app('notes')
  if (!facts) throw new Error('no app')
  return facts
}
const keysOf = (world: World) => appKeys(world.state, notes(world)).map(({ keys }) => keys)
const change = (world: World, keys?: string, key = 'Ctrl+F') =>
  world.try('keys.ofApp', { app: 'notes', key, ...(keys && { keys }) })

test('a key of an app is changed, means what the first one did, and is set back and undone', () => {
  const world = new World()
  expect(keysOf(world)).toEqual(['Ctrl+F', 'Ctrl+K', 'X'])
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+F'])).toBeUndefined()
  expect(change(world, 'Ctrl+H').ok).toBe(true)
  expect(keysOf(world)).toEqual(['Ctrl+H', 'Ctrl+K', 'X'])
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+H'])).toBe('Ctrl+F')
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+F'])).toBeNull()
  expect(appKeyMeant(world.state, 'dial', ['Ctrl+H'])).toBeUndefined()
  expect(change(world, 'Ctrl+J').ok).toBe(true)
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+H'])).toBeUndefined()
  world.run('history.undo')
  expect(keysOf(world)[0]).toBe('Ctrl+H')
  expect(change(world).ok).toBe(true)
  expect(world.state.bindings).toEqual([])
  // Two may change places by way of a third.
  for (const [keys, key] of [
    ['Ctrl+Q', 'Ctrl+F'],
    ['Ctrl+F', 'Ctrl+K'],
    ['Ctrl+K', 'Ctrl+F'],
  ] as const)
    expect(change(world, keys, key).ok).toBe(true)
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+F'])).toBe('Ctrl+K')
  expect(appKeyMeant(world.state, 'notes', ['Ctrl+K'])).toBe('Ctrl+F')
  world.run('keys.reset')
  expect(keysOf(world)).toEqual(['Ctrl+F', 'Ctrl+K', 'X'])
})

test('keys that cannot stand for one of an app are refused with why', () => {
  const world = new World()
  const why = (keys: string, key?: string) => {
    const outcome = change(world, keys, key)
    return outcome.ok ? null : outcome.reason
  }
  expect(why('Alt+/')).toBe('Alt+/ is already used everywhere. Press another key.')
  expect(why('Ctrl+K')).toBe('Notes has Ctrl+K already: link.')
  expect(why('J')).toBe('“J” is typed into the window. Add Ctrl.')
  expect(why('J', 'X')).toBeNull()
  expect(why('Ctrl+A B')).toMatch(/can’t be a key/)
  expect(why('nonsense')).toMatch(/can’t be a key/)
  expect(why('Ctrl+H', 'Ctrl+9')).toBe('No app “notes” has a key Ctrl+9.')
  expect(why('Ctrl+F')).toBe('No keys were changed.')
})
