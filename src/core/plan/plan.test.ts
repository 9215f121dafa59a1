import { World } from '@testing/world'
import type { Block } from '@/core/model/kinds/block'
import {
  atMinute,
  blockAfter,
  blockAt,
  blocksOf,
  dayOf,
  offered,
  planChangesAt,
  typedBlock,
  typedMove,
} from './plan'
import { typedMoment, typedSpan } from './typed'

const DAY = new Date(2026, 10, 24, 12).getTime()
const time = (hours: number, minutes = 0) => new Date(2026, 10, 24, hours, minutes).getTime()
const block = (id: string, from: number, to: number, more: Partial<Block> = {}): Block => ({
  id,
  desktop: id,
  start: time(from),
  end: time(to),
  ...more,
})

test.each([
  ['9:30-11 Model', time(9, 30), time(11), 'Model'],
  ['9.30 – 11.15 Public line', time(9, 30), time(11, 15), 'Public line'],
  ['13 to 16 Bulletin', time(13), time(16), 'Bulletin'],
  ['9:30 Model', time(9, 30), time(10, 30), 'Model'],
  ['9:30 45 min Model', time(9, 30), time(10, 15), 'Model'],
  ['8 1 h 30 Model', time(8), time(9, 30), 'Model'],
  ['22-1 Night', time(22), time(25), 'Night'],
])('“%s”', (text, start, end, name) => {
  expect(typedBlock(text, DAY)).toEqual({ start, end, name })
})

test.each(['Model', '9:30', '25-26 Model', '9:75 Model', '18:00-17:00 Model', ''])(
  '“%s” is told',
  (text) => {
    expect(typedBlock(text, DAY)).toHaveProperty('problem')
  },
)

test.each([
  ['9:45–11:15', time(9, 45), time(11, 15)],
  ['10', time(10), time(11, 30)],
  ['10:15 45 min', time(10, 15), time(11)],
  ['23-1', time(23), time(25)],
])('a block from 9 to 10:30 is moved by “%s”', (text, start, end) => {
  const moved = { start: time(9), end: time(10, 30) }
  expect(typedMove(text, moved)).toEqual({ start, end, name: '' })
})

test.each(['', 'later', '9-11 Model', '27-28'])('a block is not moved by “%s”', (text) => {
  expect(typedMove(text, { start: time(9), end: time(10) })).toHaveProperty('problem')
})

test('a block that begins at another time is offered again; one that ends later is not', () => {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  world.run('plan.put', { blocks: [{ desktop: rota, start: time(9), end: time(10) }] })
  const [{ id } = { id: '' }] = world.state.plan
  world.run('plan.leave', { block: id })
  world.run('plan.move', { block: id, end: time(11) })
  expect(world.state.plan[0]).toMatchObject({ end: time(11), met: true })
  world.run('plan.move', { block: id, text: '10-11:30' })
  expect(world.state.plan[0]).toMatchObject({ start: time(10), end: time(11, 30) })
  expect(world.state.plan[0]?.met).toBeUndefined()
  expect(world.try('plan.move', { block: id, text: 'noon' }).ok).toBe(false)
  expect(world.try('plan.move', { block: id, start: time(12) }).ok).toBe(false)
})

test('of two at once the one that began last is on; skipped ones are not', () => {
  const plan = [block('a', 8, 12), block('b', 9, 10), block('c', 13, 14)]
  expect(blockAt(plan, time(9, 30))?.id).toBe('b')
  expect(blockAt(plan, time(10))?.id).toBe('a')
  expect(blockAt([block('a', 8, 12), block('b', 9, 10, { skipped: true })], time(9))?.id).toBe('a')
  expect(blockAfter(plan, time(9, 30))?.id).toBe('c')
  expect(blockAfter(plan, time(13))).toBeUndefined()
  expect(planChangesAt(plan, time(9, 30))).toBe(time(10))
  expect(blocksOf([block('night', 22, 26)], time(25)).map(({ id }) => id)).toEqual(['night'])
})

test('a switch is offered while its block is on, one is elsewhere, and it was not met', () => {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  const plan = [{ ...block('x', 9, 10), desktop: rota }]
  const { desktops } = world.state
  expect(offered({ plan, desktops }, 'first', time(9))?.id).toBe('x')
  expect(offered({ plan, desktops }, rota, time(9))).toBeUndefined()
  expect(offered({ plan, desktops }, 'first', time(10))).toBeUndefined()
  const met = plan.map((one) => ({ ...one, met: true }))
  expect(offered({ plan: met, desktops }, 'first', time(9))).toBeUndefined()
})

test('9:30 is 9:30 on the days the clock is changed', () => {
  for (let day = 0; day < 366; day++) {
    const midnight = new Date(2026, 0, 1 + day).getTime()
    const moment = new Date(atMinute(midnight, 9 * 60 + 30))
    expect([moment.getHours(), moment.getMinutes()]).toEqual([9, 30])
    expect(dayOf(moment.getTime())).toBe(midnight)
  }
})

test('spans and moments as they are typed', () => {
  expect(typedSpan('1 h 30')).toBe(90 * 60_000)
  expect(typedSpan('90 s')).toBe(90_000)
  expect(typedSpan('0')).toBeNull()
  expect(typedMoment('11:59', time(12))).toBe(time(11, 59) + 24 * 60 * 60_000)
  expect(typedMoment('10 min', 1000)).toBe(601_000)
  expect(typedMoment('in 10 min', 1000)).toBe(601_000)
  expect(typedMoment('at 4pm', time(12))).toBe(time(16))
  expect(typedMoment('4:30 PM', time(12))).toBe(time(16, 30))
  expect(typedMoment('12am', time(12))).toBe(time(24))
  expect(typedMoment('noon', time(11))).toBe(time(12))
  for (const wrong of ['13pm', '0am', '4:60 pm', '24:00', 'at 10 min'])
    expect(typedMoment(wrong, 1000)).toBeNull()
  expect(typedMoment('soon', 1000)).toBeNull()
})

test('planned by typing, later, skipped, and gone to; folded its blocks follow, stowed they go along', () => {
  const world = new World()
  const [rota = '', model = ''] = world.desktops('Rota', 'Model')
  Object.defineProperty(world.env, 'now', { value: time(9, 10), configurable: true })
  expect(world.run('plan.add', { text: '9-10 Rota' }).say).toBe('Planned Rota, 09:00 to 10:00')
  world.run('plan.add', { text: '10-11 Model' })
  expect(world.try('plan.add', { text: '9 Nowhere' })).toMatchObject({ ok: false })
  world.run('plan.late')
  expect(world.state.plan.map(({ start, end }) => [start, end])).toEqual([
    [time(9), time(10, 15)],
    [time(10, 15), time(11, 15)],
  ])
  world.run('plan.go')
  expect(world.state.presence.near?.shows).toBe(rota)
  expect(world.try('plan.go')).toMatchObject({
    ok: false,
    reason: 'You are where you planned to be.',
  })
  world.run('plan.skip')
  expect(world.state.plan[0]?.skipped).toBe(true)
  const before = world.state.plan
  world.run('desktop.stow', { desktop: model })
  expect(world.state.plan).toHaveLength(1)
  world.run('desktop.bring', { desktop: model })
  expect(world.state.plan).toEqual(before)
  world.run('desktop.fold', { desktop: model, into: rota })
  expect(world.state.plan.map(({ desktop }) => desktop)).toEqual([rota, rota])
  expect(world.try('plan.move', { block: before[0]?.id, start: 5, end: 4 })).toMatchObject({
    ok: false,
  })
})
