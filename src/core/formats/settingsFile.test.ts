import { World } from '@testing/world'
import { HERE, NAMED } from '@/core/model/kinds/home'
import { BadSettingsFile, readSettingsFile, settingsFile } from './settingsFile'

/** A shelf with a home, a key and a setting of its own. */
function wanted(): World {
  const world = new World()
  world.desktops('Field', 'Rota')
  const rota = Object.values(world.state.desktops).find(({ name }) => name === 'Rota')?.id ?? ''
  world.run('home.set', { app: 'notes', desktop: rota })
  world.run('settings.set', { gap: 24 })
  return world
}

const written = (world: World) => JSON.parse(JSON.stringify(settingsFile(world.state, 0)))

test('what one wants goes to another shelf: settings, keys, and homes by the names of desktops', () => {
  const from = wanted()
  const file = readSettingsFile(JSON.stringify(written(from)))
  const to = new World()
  to.run('desktop.create', { name: 'Rota' })
  const rota = Object.values(to.state.desktops).find(({ name }) => name === 'Rota')?.id
  // Another id there, the same name.
  file.homes = file.homes.map((home) => ({ ...home, desktop: 'another' }))
  to.run('settings.bring', { wanted: file })
  expect(to.state.settings.gap).toBe(24)
  expect(to.state.homes).toMatchObject([{ app: 'notes', desktop: rota }])
  to.run('history.undo')
  expect(to.state.settings.gap).toBe(8)
  expect(to.state.homes).toEqual([])
})

test('keys to a desktop go with it by name, to the one of that name', () => {
  const from = wanted()
  const rota = Object.values(from.state.desktops).find(({ name }) => name === 'Rota')?.id
  from.run('keys.bind', { keys: 'Alt+F7', command: 'window.send', args: { to: rota } })
  from.run('keys.bind', { keys: 'Alt+F8', command: 'desktop.go', args: { to: 'next' } })
  const file = readSettingsFile(JSON.stringify(written(from)))
  expect(file.bindings.map(({ args }) => args)).toEqual([{ to: 'Rota' }, { to: 'next' }])
  const to = new World()
  to.desktops('Rota', 'next')
  const there = Object.values(to.state.desktops).find(({ name }) => name === 'Rota')?.id
  to.run('settings.bring', { wanted: file })
  expect(to.state.bindings.map(({ args }) => args)).toEqual([{ to: there }, { to: 'next' }])
})

test('a home on a desktop that is not there is on the one of that name, once there is one', () => {
  const file = readSettingsFile(JSON.stringify(written(wanted())))
  const [home] = file.homes
  if (!home) throw new Error('a home')
  const to = new World()
  to.run('settings.bring', { wanted: { ...file, homes: [{ ...home, desktop: 'gone' }] } })
  expect(to.state.homes).toMatchObject([{ desktop: NAMED, name: 'Rota' }])
  const { name: _name, ...nameless } = home
  to.run('settings.bring', { wanted: { ...file, homes: [{ ...nameless, desktop: 'gone' }] } })
  expect(to.state.homes).toMatchObject([{ desktop: HERE }])
})

test('a setting that the file does not know is as at first; out and in again is the same', () => {
  const world = wanted()
  const file = written(world)
  delete file.settings.wrap
  expect(readSettingsFile(JSON.stringify(file)).settings.wrap).toBe(true)
  const again = new World()
  again.run('settings.bring', { wanted: readSettingsFile(JSON.stringify(written(world))) })
  expect(again.state.settings).toEqual(world.state.settings)
})

test.each<[string, (file: ReturnType<typeof written>) => unknown, RegExp]>([
  ['no JSON', () => '{"format":\n "kite', /not JSON \(line 2\)/],
  ['another format', () => ({ format: 'other' }), /does not say/],
  ['a later version', (file) => ({ ...file, version: 9 }), /version 9/],
  [
    'a wrong setting',
    (file) => ({ ...file, settings: { ...file.settings, gap: 90 } }),
    /settings\.gap/,
  ],
  ['a wrong kind', (file) => ({ ...file, settings: 4 }), /settings/],
  ['a broken home', (file) => ({ ...file, homes: [{ id: 'a' }] }), /homes\[0\]/],
  ['no keys', (file) => ({ ...file, bindings: undefined }), /bindings/],
])('%s is told', (_name, broken, why) => {
  const given = broken(written(wanted()))
  const text = typeof given === 'string' ? given : JSON.stringify(given)
  expect(() => readSettingsFile(text)).toThrow(BadSettingsFile)
  expect(() => readSettingsFile(text)).toThrow(why)
})

test('what is not as it should be is refused by the command too', () => {
  const { settings, homes, bindings } = written(wanted())
  const bad = { settings: { ...settings, cloth: 'red' }, homes, bindings }
  expect(new World().refusal('settings.bring', { wanted: bad })).not.toBe('')
})

test('what this version does not know is left out; a home of the same conditions is not there twice', () => {
  const from = wanted()
  const file = written(from)
  file.settings.later = true
  file.bindings.push({ keys: 'W 4', command: 'loft.open' })
  const read = readSettingsFile(JSON.stringify(file))
  expect(Object.keys(read.settings)).not.toContain('later')
  expect(read.bindings).toEqual(from.state.bindings)
  const to = new World()
  to.run('home.set', { app: 'notes', desktop: to.state.order[0] ?? '' })
  to.run('settings.bring', {
    wanted: { ...read, homes: read.homes.map((home) => ({ ...home, id: 'other' })) },
  })
  expect(to.state.homes.map(({ id }) => id)).toEqual(['other'])
})
