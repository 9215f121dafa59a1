import { World } from '@testing/world'
import { rowsOf } from '@/core/model/grid'
import { currentId } from '@/core/model/selectors'

/** Seven desktops in rows of three, the first one current: abc, def, g. */
function grid(): World {
  const world = new World()
  const names = ['B', 'C', 'D', 'E', 'F', 'G']
  for (const name of names.toReversed()) world.run('desktop.create', { name, stay: true })
  world.run('desktop.rename', { name: 'A' })
  world.run('grid.columns', { columns: 3 })
  return world
}

const names = (world: World) =>
  rowsOf(world.state).map((row) => row.map((id) => world.state.desktops[id]?.name).join(''))
const here = (world: World) => world.state.desktops[currentId(world.state)]?.name

test('the order is broken into rows, the last one as long as it comes', () => {
  expect(names(grid())).toEqual(['ABC', 'DEF', 'G'])
})

test('next and previous go round in their row, above and below in their column', () => {
  const world = grid()
  const steps: [string, string][] = [
    ['previous', 'C'],
    ['below', 'F'],
    ['below', 'C'],
    ['next', 'A'],
    ['above', 'G'],
  ]
  for (const [to, name] of steps) {
    world.run('desktop.go', { to })
    expect(here(world)).toBe(name)
  }
  expect(world.refusal('desktop.go', { to: 'next' })).toBe('Its row has no other desktop.')
})

test('each axis stops at its ends where it does not go round', () => {
  const world = grid()
  world.run('settings.set', { wrap: false, wrapRows: false })
  expect(world.refusal('desktop.go', { to: 'previous' })).toBe(
    'This is the first desktop of its row.',
  )
  expect(world.refusal('desktop.go', { to: 'above' })).toBe('There is no row above this one.')
  world.run('grid.columns', { columns: 1 })
  expect(world.refusal('desktop.go', { to: 'previous' })).toBe('This is the first desktop.')
})

test('a row and a column are made of new desktops, and undone as one step', () => {
  const world = grid()
  const before = world.state
  world.run('grid.addRow')
  expect(rowsOf(world.state).map((row) => row.length)).toEqual([3, 3, 3, 1])
  expect(names(world)[2]).toBe('DEF')
  world.run('history.undo')
  expect(world.state).toEqual(before)
  world.run('grid.addColumn')
  expect(rowsOf(world.state).map((row) => row.length)).toEqual([4, 4, 1])
  expect(names(world)[0]?.slice(0, 3)).toBe('ABC')
  expect(names(world)[1]?.slice(0, 3)).toBe('DEF')
})

test('no more than 40 desktops are made', () => {
  const world = grid()
  world.run('grid.columns', { columns: 34 })
  expect(world.refusal('grid.addRow')).toContain('more than 40')
  expect(world.state.order).toHaveLength(7)
})

test('folding a row or a column asks first, and names what stands in it', () => {
  const world = grid()
  world.run('desktop.go', { to: 'E' })
  const named = (outcome: { show?: object }) =>
    (outcome.show as { desktops: string[] }).desktops.map((id) => world.state.desktops[id]?.name)
  expect(named(world.run('grid.removeRow'))).toEqual(['D', 'E', 'F'])
  const { show } = world.run('grid.removeColumn')
  expect(show).toMatchObject({ columns: 2 })
  const { desktops } = show as unknown as { desktops: string[] }
  world.run('desktop.fold', { desktops, columns: 2 })
  expect(names(world)).toEqual(['AC', 'DF', 'G'])
})

test('the only row cannot be folded, and in a line there is no column', () => {
  const world = grid()
  world.run('grid.columns', { columns: 7 })
  expect(world.refusal('grid.removeRow')).toContain('stands in the only row')
  world.run('grid.columns', { columns: 1 })
  expect(world.refusal('grid.removeColumn')).toContain('in a line')
  expect(world.refusal('grid.addColumn')).toContain('Set the columns first')
  world.run('grid.columns', { columns: 40 })
  expect(world.refusal('grid.addColumn')).toContain('still room')
})
