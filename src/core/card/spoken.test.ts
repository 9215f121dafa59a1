import { World } from '@testing/world'
import { keysFor } from '@/core/keys/bindings'
import { bindable } from './bindable'
import { sayings, searchSayings } from './spoken'

function office() {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  const cell = (place: string, verb: string) =>
    sayings(world.state)
      .find(({ to }) => to === place)
      ?.sayings.find((one) => one?.verb === verb)
  return { world, rota, cell }
}

test('every verb is told with every place, and the keys it has', () => {
  const { world, rota, cell } = office()
  expect(cell('next', 'go')).toMatchObject({
    title: 'Go to the next desktop',
    keys: [{ keys: 'Alt+.' }],
  })
  expect(cell('new', 'carry')?.keys).toEqual([{ keys: 'Alt+Shift+N', own: false }])
  expect(cell('new', 'go')).toMatchObject({ command: 'desktop.create', keys: [{ keys: 'Alt+N' }] })
  expect(cell('new', 'glance')).toBeUndefined()
  expect(cell(rota, 'send')).toMatchObject({
    title: 'Send window to Rota',
    keys: [{ keys: 'Alt+] R' }],
  })
  const names = sayings(world.state).map(({ name }) => name)
  expect(names.slice(-2)).toEqual(world.state.order.map((id) => world.state.desktops[id]?.name))
})

test('what is bound to a desktop by name is told there, and everywhere else; so is what is switched off', () => {
  const { world, rota, cell } = office()
  world.run('keys.bind', { keys: 'Alt+F8', command: 'window.send', args: { to: rota } })
  world.run('keys.unbind', { keys: 'Alt+.' })
  expect(cell(rota, 'send')?.keys).toEqual([
    { keys: 'Alt+] R', own: false },
    { keys: 'Alt+F8', own: true },
  ])
  expect(cell('next', 'go')?.keys).toEqual([])
  expect(keysFor(world.state, 'window.send', { to: rota })).toBe('Alt+F8')
  // Another letter changes nothing about it.
  world.run('desktop.letter', { desktop: rota, letter: 'Q' })
  expect(cell(rota, 'send')?.keys.map(({ keys }) => keys)).toEqual(['Alt+] Q', 'Alt+F8'])
  // What leads to a desktop that is gone can be seen, and taken away.
  world.run('keys.bind', { keys: 'Alt+F9', command: 'desktop.go', args: { to: 'gone' } })
  expect(bindable(world.state, (id) => id)).toContainEqual(
    expect.objectContaining({ command: 'desktop.go', args: { to: 'gone' } }),
  )
  const titles = bindable(world.state, (id) => id).map(({ title }) => title)
  expect(titles.filter((title) => title.startsWith('Send window to Rota'))).toEqual([])
})

test('places are found by their names, by verbs and by keys', () => {
  const { world } = office()
  const found = (query: string) =>
    searchSayings(sayings(world.state), query).map(({ name }) => name)
  expect(found('next')).toEqual(['the next desktop'])
  expect(found('rota')).toEqual(['Rota'])
  expect(found('carry')).toHaveLength(8)
  expect(found('carry rota')).toEqual(['Rota'])
})
