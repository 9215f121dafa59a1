import { World } from '@/core/testing/world'
import { ChangeLog, readLog } from './changeLog'

const sent: { line?: string; turn?: true; open?: string }[] = []
class FakeWorker {
  postMessage = (order: object) => sent.push(order)
  terminate = () => sent.push({})
}

beforeEach(() => {
  sent.length = 0
  Object.assign(globalThis, { Worker: FakeWorker })
})
afterEach(() => Reflect.deleteProperty(globalThis, 'Worker'))

const text = () => sent.map(({ line }) => (line ? `${line}\n` : '')).join('')

test('each change and each document is a line, numbered on from what is known', () => {
  const world = new World()
  const log = new ChangeLog('demo', 7)
  log.state(world.state)
  world.run('desktop.rename', { name: 'Ridge' })
  log.state(world.state)
  log.state(world.state)
  log.document('note', { saved: 'snow', draft: null })
  expect(sent[0]).toEqual({ open: 'demo' })
  expect(readLog(text())).toEqual([
    { seq: 8, changes: expect.objectContaining({ objects: expect.anything() }) },
    { seq: 9, document: 'note', content: { saved: 'snow', draft: null } },
  ])
  expect(log.turn(world.state)).toBe(9)
  expect(sent.at(-1)).toEqual({ turn: true })
})

test('a line that was cut off or altered is left out', () => {
  const log = new ChangeLog('demo', 0)
  log.document('a', { saved: 1, draft: null })
  log.document('b', { saved: 2, draft: null })
  const whole = text()
  expect(readLog(whole.slice(0, -9)).map(({ seq }) => seq)).toEqual([1])
  expect(readLog(whole.replace('"saved":1', '"saved":7')).map(({ seq }) => seq)).toEqual([2])
  expect(readLog('')).toEqual([])
})

test('what is too long for a line waits for the next copy', () => {
  const log = new ChangeLog('demo', 0)
  log.document('big', { saved: 'x'.repeat(400_000), draft: null })
  log.document('small', { saved: 'x', draft: null })
  expect(readLog(text()).map(({ seq }) => seq)).toEqual([1])
})
