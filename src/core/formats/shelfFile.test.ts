import version2 from '@testing/version2.json'
import { World } from '@testing/world'
import fc from 'fast-check'
import { check } from '@/core/rules/check'
import { difference, merge } from './merge'
import { BadShelfFile, readShelfFile, shelfFile } from './shelfFile'

/** A shelf with some desktops and windows, differing by a seed. */
function shelf(seed: number) {
  const world = new World()
  world.env.id = (kind) => `${kind}-${seed}-${++count}`
  let count = 0
  world.desktops(...['Aero', 'Box', 'Cody'].slice(0, 1 + (seed % 3)))
  for (let n = 0; n < seed % 5; n++) {
    world.open(n % 2 ? 'dial' : 'notes')
    world.run('window.send', {
      to: world.state.order[n % world.state.order.length] === 'first' ? 'next' : 'next',
    })
  }
  if (seed % 2) world.try('window.close')
  return world
}

const text = (world: World) => JSON.stringify(shelfFile(world.state, {}, 0))
const problem = (content: string): string => {
  try {
    readShelfFile(content)
  } catch (error) {
    if (error instanceof BadShelfFile) return error.message
  }
  throw new Error('was read')
}

test('importing its own export changes nothing', () => {
  fc.assert(
    fc.property(fc.nat(200), (seed) => {
      const world = shelf(seed)
      const { state } = readShelfFile(text(world))
      expect(merge(world.state, state)).toEqual(world.state)
      const change = difference(world.state, state)
      expect([...change.desktopsAdded, ...change.desktopsChanged]).toEqual([])
      expect(change.windowsAdded + change.windowsMoved + change.homesChanged).toBe(0)
      expect(change.documentsAdded).toEqual([])
      expect([change.reordered, change.keysChanged]).toEqual([false, false])
    }),
  )
})

test('importing loses no window, keeps every rule, and undo takes it back', () => {
  fc.assert(
    fc.property(fc.nat(200), fc.nat(200), (a, b) => {
      const [here, there] = [shelf(a), shelf(b)]
      const before = here.state
      const { state } = readShelfFile(text(there))
      here.run('shelf.merge', { state })
      const ids = Object.keys(here.state.windows)
      expect(ids).toEqual(expect.arrayContaining(Object.keys(before.windows)))
      expect(ids).toEqual(expect.arrayContaining(Object.keys(state.windows)))
      expect(check(here.state)).toEqual([])
      here.run('history.undo')
      expect(here.state).toEqual(before)
    }),
  )
})

test('a bad file is refused with what is wrong and where', () => {
  const good = JSON.parse(text(shelf(7)))
  const without = (change: (file: typeof good) => void) => {
    const file = structuredClone(good)
    change(file)
    return JSON.stringify(file)
  }
  expect(problem('nonsense')).toMatch(/not JSON.*line 1/)
  expect(problem('{"a": 1}')).toContain('does not say')
  expect(
    problem(
      without((file) => {
        file.version = 99
      }),
    ),
  ).toContain('version 99')
  expect(
    problem(
      without((file) => {
        file.state.order = []
      }),
    ),
  ).toContain('state.order')
  expect(
    problem(
      without((file) => {
        file.state.desktops.first.hue = 'mauve'
      }),
    ),
  ).toContain('hue')
  expect(
    problem(
      without((file) => {
        file.state.presence.near.visited = ['nowhere']
      }),
    ),
  ).toContain('contradict')
})

test('a file of the first version is read: what it lacks is filled in', () => {
  const { file } = structuredClone(version2)
  const { columns: _columns, settings, ...state } = file.state
  const { trail: _trail, wrapRows: _wrapRows, ...some } = settings
  const first = { ...file, version: 1, state: { ...state, settings: some } }
  expect(readShelfFile(JSON.stringify(first)).state).toEqual(
    readShelfFile(JSON.stringify(file)).state,
  )
})

test('a file of the second version is read: heights become the stack, what displays show stands apart', () => {
  const { state } = readShelfFile(JSON.stringify(version2.file))
  expect(check(state)).toEqual([])
  expect(state.stacking).toEqual(['window-6', 'window-8', 'window-4'])
  expect(state.presence).toEqual({
    near: {
      shows: 'desktop-2',
      focus: null,
      visited: ['desktop-2', 'desktop-11', 'first'],
    },
  })
  expect(JSON.stringify(state)).not.toMatch(/"(z|top)":/)
  expect(state.displays.near).not.toHaveProperty('shows')
  // A window brought back stands where it stood.
  const world = new World(state)
  world.run('window.solo', { window: 'window-4' })
  expect(world.state.windows['window-4']?.desktop).toBe('first')
})

test('what is no part of a state goes no further, also when it is called as every object has it', () => {
  const world = shelf(7)
  const file = text(world).replace('"state":{', '"state":{"__proto__":{"order":1},"more":2,')
  const { state } = readShelfFile(file)
  expect(state).toEqual(world.state)
  expect(Object.keys(state)).not.toContain('__proto__')
  const other = shelf(8)
  other.run('shelf.merge', { state: JSON.parse(file).state })
  expect(check(other.state)).toEqual([])
})
