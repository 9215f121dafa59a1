import { type LogAnswer, type LogOrder, type LogWay, LogWriter } from './logWriter'

/** A way that can be told how to behave, with what it was asked. */
function way() {
  const one = {
    orders: [] as LogOrder[],
    opened: 0,
    closed: 0,
    answers: true,
    answer: (_given: LogAnswer) => {},
    die: (_why: unknown) => {},
    begins: true,
  }
  const open: LogWay = (answer, died) => {
    if (!one.begins) throw new Error('not allowed')
    one.opened++
    Object.assign(one, { answer, die: died })
    return {
      send: (n, order) => {
        one.orders.push(order)
        if (one.answers) answer({ n })
      },
      close: () => one.closed++,
    }
  }
  return { one, open }
}

const OPEN = { open: 'own', at: 0 }
const line = (text: string) => ({ line: text })

function writing() {
  const [first, second] = [way(), way()]
  const stands = jest.fn()
  const writer = () => new LogWriter('own', [first.open, second.open], stands)
  return { first: first.one, second: second.one, stands, writer }
}

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

test('the first way that works is used, and told', () => {
  const { first, second, stands, writer } = writing()
  const log = writer()
  log.send(line('a'))
  expect(first.orders).toEqual([OPEN, line('a')])
  expect(second.opened).toBe(0)
  expect(stands.mock.calls).toEqual([[0]])
})

test('one that cannot begin, dies, falls silent or reports a fault gives way; nothing is left out', () => {
  for (const fails of ['begin', 'die', 'silent', 'fault']) {
    const { first, second, stands, writer } = writing()
    first.begins = fails !== 'begin'
    const log = writer()
    log.send(line('known'))
    log.send({ turn: true })
    first.answers = false
    log.send(line('a'))
    if (fails === 'die') first.die(new Error('killed'))
    if (fails === 'silent') jest.advanceTimersByTime(8000)
    if (fails === 'fault') first.answer({ n: 4, fault: { name: 'Quota', message: '' } })
    log.send(line('b'))
    const all = [OPEN, line('known'), { turn: true }, line('a'), line('b')]
    // What was answered is written: it goes on in the file that was in use.
    expect(second.orders).toEqual(
      fails === 'begin' ? all : [{ open: 'own', at: 1 }, line('a'), line('b')],
    )
    expect(stands.mock.lastCall).toEqual([1])
    expect(first.closed).toBe(fails === 'begin' ? 0 : 1)
    log.close()
  }
})

test('when none works that is told, and it is tried again with the next copy', () => {
  const { first, second, stands, writer } = writing()
  first.begins = false
  second.begins = false
  const log = writer()
  expect(stands.mock.lastCall).toEqual([null, new Error('not allowed')])
  log.send(line('lost'))
  first.begins = true
  log.send({ turn: true })
  log.send(line('a'))
  expect(first.orders).toEqual([OPEN, { turn: true }, line('a')])
  expect(stands.mock.lastCall).toEqual([0])
})

test('one that was given up is not heard any more, and a closed log asks nothing', () => {
  const { first, second, stands, writer } = writing()
  first.answers = false
  const log = writer()
  jest.advanceTimersByTime(8000)
  first.answer({ n: 1, fault: { name: 'Late', message: '' } })
  first.die(new Error('late'))
  expect(stands.mock.calls).toEqual([[1]])
  log.close()
  log.send(line('b'))
  expect(second.orders).toEqual([OPEN])
  expect(second.closed).toBe(1)
})
