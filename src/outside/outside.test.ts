import { isPrivate, mayBeFramed } from './framing'
import { ending, jobSource, jobs, logOf, type RunningJob, STEP_EVERY, stepAt } from './jobs'
import { MESSAGE_EVERY, messageAt, messageSource } from './messages'
import { eventStream, isRunning, numberIn, setRunning } from './streams'

const job = (given: Partial<RunningJob> = {}): RunningJob => ({
  steps: 10,
  from: 3,
  since: 1000,
  every: 100,
  paused: null,
  ...given,
})

test('a job goes on by time alone, stops at its end, where it fails, and while it is paused', () => {
  expect([1000, 1099, 1250, 9000].map((now) => stepAt(job(), now))).toEqual([3, 3, 5, 10])
  expect(stepAt(job({ failsAt: 6 }), 9000)).toBe(6)
  expect(stepAt(job({ paused: 4 }), 9000)).toBe(4)
  expect(ending(job(), 9)).toBeNull()
  expect(ending(job(), 10)).toEqual({ kind: 'done' })
  expect(ending(job({ failsAt: 6 }), 6)).toMatchObject({ kind: 'failed' })
  expect(logOf(6, 24)).toContain('06:00')
})

test('the same seed gives the same messages, another seed others', () => {
  const said = (seed: number) => [1, 2, 3, 4].map((number) => messageAt(seed, number).text)
  expect(said(2)).toEqual(said(2))
  expect(said(2)).not.toEqual(said(3))
  expect(messageAt(1, 9).number).toBe(9)
})

test('headers say whether a page lets itself be framed', () => {
  const headers = (given: Record<string, string>) => new Headers(given)
  expect(mayBeFramed(headers({}), false)).toBe(true)
  expect(mayBeFramed(headers({ 'x-frame-options': 'DENY' }), true)).toBe(false)
  expect(mayBeFramed(headers({ 'x-frame-options': 'SAMEORIGIN' }), true)).toBe(true)
  expect(mayBeFramed(headers({ 'x-frame-options': 'SAMEORIGIN' }), false)).toBe(false)
  const policy = { 'content-security-policy': "default-src 'self'; frame-ancestors 'self'" }
  expect(mayBeFramed(headers(policy), false)).toBe(false)
  expect(mayBeFramed(headers({ ...policy, 'x-frame-options': 'DENY' }), true)).toBe(true)
})

test('this machine and private networks are not asked', () => {
  for (const host of ['localhost', '127.0.0.1', '10.1.2.3', '172.20.0.1', '[::1]', 'nas.local'])
    expect(isPrivate(host)).toBe(true)
  for (const host of ['example.org', '172.40.0.1', '100.1.1.1']) expect(isPrivate(host)).toBe(false)
})

/** A source that is told by hand, and whether it was stopped. */
function byHand(key: string) {
  const source = {
    key,
    send: (_event: object) => {},
    stopped: false,
    begin(send: (event: object) => void) {
      source.send = send
      return () => {
        source.stopped = true
      }
    },
  }
  return source
}

const lines = async (answer: Response): Promise<object[]> =>
  (await answer.text())
    .split('\n\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line.replace('data: ', '')) as object)

test('one stream tells of several sources; one that breaks off leaves the others', async () => {
  const left = new AbortController()
  const [one, two] = [byHand('one'), byHand('two')]
  const answer = eventStream([one, two], left.signal)
  one.send({ step: 1 })
  setRunning('one', false)
  expect([one.stopped, two.stopped]).toEqual([true, false])
  two.send({ step: 2 })
  left.abort()
  expect(two.stopped).toBe(true)
  expect(await lines(answer)).toEqual([
    { key: 'one', heard: true },
    { key: 'two', heard: true },
    { key: 'one', event: { step: 1 } },
    { key: 'one', heard: false },
    { key: 'two', event: { step: 2 } },
  ])
})

test('what is down is told so, until it runs again', async () => {
  const ask = async () => {
    const left = new AbortController()
    const answer = eventStream([byHand('three')], left.signal)
    left.abort()
    return lines(answer)
  }
  setRunning('three', false)
  expect(isRunning('three')).toBe(false)
  expect(await ask()).toEqual([{ key: 'three', heard: false }])
  setRunning('three', true)
  expect(await ask()).toEqual([{ key: 'three', heard: true }])
})

test('a job told of twice is one job, joined where it is', async () => {
  jest.useFakeTimers()
  try {
    const told: object[] = []
    const query = (at: number) => new URLSearchParams({ key: 'run', steps: '4', at: String(at) })
    const stop = jobSource(query(0)).begin((event) => told.push(event))
    jest.advanceTimersByTime(STEP_EVERY * 2)
    stop()
    expect(told).toMatchObject([{ step: 1 }, { step: 2 }])
    // It goes on while nobody listens.
    jest.advanceTimersByTime(STEP_EVERY)
    jobSource(query(2)).begin((event) => told.push(event))
    expect(told.slice(2)).toMatchObject([{ step: 3 }])
    jest.advanceTimersByTime(STEP_EVERY)
    expect(told.slice(3)).toMatchObject([{ step: 4 }, { kind: 'done' }])
    expect(jobs.has('run')).toBe(false)
  } finally {
    jest.useRealTimers()
  }
})

test('messages come after the number that is known, faster when asked to be', () => {
  jest.useFakeTimers()
  try {
    const told: { number?: number }[] = []
    const query = new URLSearchParams({ key: 'line', seed: '2', after: '5', speed: '10' })
    const stop = messageSource(query).begin((event) => told.push(event))
    jest.advanceTimersByTime((MESSAGE_EVERY / 10) * 3)
    stop()
    jest.advanceTimersByTime(MESSAGE_EVERY)
    expect(told.map(({ number }) => number)).toEqual([6, 7, 8])
  } finally {
    jest.useRealTimers()
  }
})

test('numbers in a query are taken when they are numbers', () => {
  const query = new URLSearchParams('a=5&b=x&c=-1&d=')
  expect(['a', 'b', 'c', 'e'].map((name) => numberIn(query, name, 7))).toEqual([5, 7, 7, 7])
})
