import { World } from '@testing/world'
import { ChangeLog, readLog } from './changeLog'
import type { LogOrder } from './logWriter'

const sent: LogOrder[] = []
const writer = { send: (order: LogOrder) => void sent.push(order), close: () => {} }

beforeEach(() => {
  sent.length = 0
})

const text = () => sent.map((order) => ('line' in order ? `${order.line}\n` : '')).join('')

test('each change and each document is a line, numbered on from what is known', () => {
  const world = new World()
  const log = new ChangeLog(writer, 7)
  log.state(world.state)
  world.run('desktop.rename', { name: 'Ridge' })
  log.state(world.state)
  log.state(world.state)
  log.document('note', { saved: 'snow', draft: null })
  expect(readLog(text())).toEqual([
    {
      seq: 8,
      changes: expect.objectContaining({ objects: expect.anything() }),
      steps: 'as before',
    },
    { seq: 9, document: 'note', content: { saved: 'snow', draft: null } },
  ])
  expect(log.turn(world.state)).toBe(9)
  expect(sent.at(-1)).toEqual({ turn: true })
})

test('a line that was cut off or altered is left out', () => {
  const log = new ChangeLog(writer, 0)
  log.document('a', { saved: 1, draft: null })
  log.document('b', { saved: 2, draft: null })
  const whole = text()
  expect(readLog(whole.slice(0, -9)).map(({ seq }) => seq)).toEqual([1])
  expect(readLog(whole.replace('"saved":1', '"saved":7')).map(({ seq }) => seq)).toEqual([2])
  expect(readLog('')).toEqual([])
})

test('what is too long for a line waits for the next copy', () => {
  const log = new ChangeLog(writer, 0)
  log.document('big', { saved: 'x'.repeat(400_000), draft: null })
  log.document('small', { saved: 'x', draft: null })
  expect(readLog(text()).map(({ seq }) => seq)).toEqual([1])
})

test('what can be undone is told with the change it belongs to, each step once', () => {
  const world = new World()
  const said = new Map([['note', { saved: 'before', draft: null }]])
  const log = new ChangeLog(writer, 0, 0, (id) => (id === 3 ? said : undefined))
  const note = () => log.state(world.state, world.session.history)
  world.run('desktop.rename', { name: 'Ridge' })
  note()
  world.run('desktop.rename', { name: 'Bowl' })
  note()
  world.run('history.undo')
  note()
  world.run('desktop.rename', { name: 'Passing' })
  note()
  const told = readLog(text()).map((record) => 'changes' in record && record.steps)
  expect(told).toMatchObject([
    { list: { past: [1, 2], future: [], count: 2 }, made: [{ id: 2 }] },
    { list: { past: [1], future: [2], count: 2 }, made: [{ id: 2 }] },
    {
      list: { past: [1, 3], future: [], count: 3 },
      made: [{ id: 3, contents: { note: { saved: 'before', draft: null } } }],
    },
  ])
})
