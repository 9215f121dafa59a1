import { World } from '@testing/world'
import { placed, shownTethers } from './list'

const offered = (says: string) => ({ says, offered: true, controls: [] })

test('what is at work elsewhere offers itself; one in sight does not, nor one told to stay away', () => {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  const job = world.open()
  const { document = '' } = world.state.windows[job] ?? {}
  const shown = () => shownTethers(world.state, { [document]: offered('run') })
  expect(shown()).toEqual([])
  world.run('desktop.go', { to: rota })
  expect(shown()).toMatchObject([{ window: job, tether: { says: 'run' } }])
  world.run('window.tether', { window: job })
  expect(world.state.tethered[job]).toBe(true)
  world.run('window.tether', { window: job })
  expect(shown()).toEqual([])
  world.run('history.undo')
  expect(shown()).toHaveLength(1)
})

test('any window may be tethered by hand; gone to it is left, and one comes back', () => {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  const notes = world.open()
  world.run('window.tether')
  world.run('desktop.go', { to: rota })
  const other = world.open()
  expect(shownTethers(world.state, {})).toMatchObject([{ window: notes, tether: undefined }])
  world.run('tether.go', { window: notes })
  expect(world.state.presence.near?.focus).toBe(notes)
  expect(shownTethers(world.state, {})).toEqual([])
  world.run('tether.go', { window: notes })
  expect(world.state.presence.near?.focus).toBe(other)
})

test('a tether keeps its number while others come and go', () => {
  expect(placed([], ['a', 'b'])).toEqual(['a', 'b'])
  expect(placed(['a', 'b', 'c'], ['c', 'b'])).toEqual([null, 'b', 'c'])
  expect(placed([null, 'b', 'c'], ['b', 'c', 'd', 'e'])).toEqual(['d', 'b', 'c', 'e'])
  expect(placed(['a', 'b'], ['a'])).toEqual(['a'])
})
