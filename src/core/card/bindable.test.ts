import { World } from '@testing/world'
import { registry } from '@/core/commands/registry'
import { bindable, searchBindable, switchedOff } from './bindable'

const all = (world: World) => bindable(world.state, (id) => id)

test('every command that needs no more said can be given keys, and is told with those it has', () => {
  const world = new World()
  const commands = new Set(all(world).map(({ command }) => command))
  for (const [id, { args }] of registry) if (args.isValidSync({})) expect(commands).toContain(id)
  const loft = all(world).find(({ command }) => command === 'loft.open')
  expect(loft).toMatchObject({ keys: [{ keys: 'Alt+/', own: false }], group: 'Shelf' })
  // One by one, where arguments make them different.
  const toward = all(world).filter(({ command }) => command === 'window.focusToward')
  expect(toward.map(({ keys }) => keys[0]?.keys)).toEqual(
    expect.arrayContaining(['Alt+Left', 'Alt+Down']),
  )
  const titles = all(world).map(({ title, group }) => `${group} ${title}`)
  expect(titles.filter((title, at) => titles.indexOf(title) !== at)).toEqual([])
})

test('own keys are told as such, those switched off are listed, and both are found', () => {
  const world = new World()
  world.run('keys.bind', { keys: 'Alt+F8', command: 'loft.open' })
  world.run('keys.bind', { keys: 'Alt+F9', command: 'grid.columns', args: { columns: 3 } })
  world.run('keys.unbind', { keys: 'Alt+/' })
  const loft = all(world).find(({ command }) => command === 'loft.open')
  expect(loft?.keys).toEqual([{ keys: 'Alt+F8', own: true }])
  expect(switchedOff(world.state)).toEqual([{ keys: 'Alt+/' }])
  expect(searchBindable(all(world), 'f9').map(({ args }) => args)).toEqual([{ columns: 3 }])
  expect(searchBindable(all(world), 'everything loft').map(({ command }) => command)).toEqual([
    'loft.open',
  ])
})
