import { World } from '@testing/world'
import { blocksFrom, topicsOf } from './fromCalendar'

const at = (source: string, title: string, start: number) => ({
  source,
  title,
  start,
  end: start + 60,
})

test('what is called like a desktop belongs to it, by whole words; the rest waits for a choice', () => {
  const world = new World()
  const [rota, line] = world.desktops('Rota', 'Public line')
  const topics = topicsOf(
    [
      at('1', 'Duty ROTA', 0),
      at('2', 'The public-line', 5),
      at('3', 'Rotation', 9),
      at('4', 'Rotation', 20),
    ],
    world.state,
  )
  expect(topics.map(({ title, desktop }) => [title, desktop])).toEqual([
    ['Rotation', null],
    ['Duty ROTA', rota],
    ['The public-line', line],
  ])
  expect(blocksFrom(topics, world.state)).toEqual([
    { desktop: rota, source: '1', title: 'Duty ROTA', start: 0, end: 60 },
    { desktop: line, source: '2', title: 'The public-line', start: 5, end: 65 },
  ])
})

test('brought in again a block is moved, not made again; where it was chosen to belong it belongs', () => {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  const first = topicsOf([at('round', 'Rotation', 100)], world.state)
  const chosen = first.map((topic) => ({ ...topic, desktop: rota }))
  world.run('plan.put', { blocks: blocksFrom(chosen, world.state) })
  world.run('plan.leave', { block: world.state.plan[0]?.id })
  const again = topicsOf([at('round', 'Rotation', 500), at('other', 'Rota', 900)], world.state)
  expect(again.map(({ desktop }) => desktop)).toEqual([rota, rota])
  expect(world.run('plan.put', { blocks: blocksFrom(again, world.state) }).say).toBe(
    'Planned 2 blocks, 1 of them moved',
  )
  expect(world.state.plan).toHaveLength(2)
  // What begins at another time is offered again.
  expect(world.state.plan[0]).toMatchObject({ start: 500, title: 'Rotation' })
  expect(world.state.plan[0]?.met).toBeUndefined()
  world.run('history.undo')
  expect(world.state.plan).toMatchObject([{ start: 100, met: true }])
})
