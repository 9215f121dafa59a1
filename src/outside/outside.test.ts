import {
  ending,
  FORGET_AFTER,
  forget,
  JOBS_MOST,
  jobSource,
  jobs,
  logOf,
  type RunningJob,
  STEP_EVERY,
  STEPS_MOST,
  stepAt,
} from './jobs'
import { MESSAGE_EVERY, messageAt, messageSource } from './messages'
import { eventStream, isRunning, numberIn, type Source, STREAMS_MOST, setRunning } from './streams'

const job = (given: Partial<RunningJob> = {}): RunningJob => ({
  steps: 10,
  from: 3,
  since: 1000,
  every: 100,
  paused: null,
  heardAt: 0,
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

/** A source that was not refused. */
const source = (given: Source | string): Source => {
  if (typeof given === 'string') throw new Error(given)
  return given
}

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
    const stop = source(jobSource(query(0))).begin((event) => told.push(event))
    jest.advanceTimersByTime(STEP_EVERY * 2)
    stop()
    expect(told).toMatchObject([{ step: 1 }, { step: 2 }])
    // It goes on while nobody listens.
    jest.advanceTimersByTime(STEP_EVERY)
    source(jobSource(query(2))).begin((event) => told.push(event))
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
    const stop = source(messageSource(query)).begin((event) => told.push(event))
    jest.advanceTimersByTime((MESSAGE_EVERY / 10) * 3)
    stop()
    jest.advanceTimersByTime(MESSAGE_EVERY)
    expect(told.map(({ number }) => number)).toEqual([6, 7, 8])
  } finally {
    jest.useRealTimers()
  }
})

test('numbers in a query are taken when they are numbers, and no larger than may be', () => {
  const query = new URLSearchParams('a=5&b=x&c=-1&d=&f=1e12')
  expect(['a', 'b', 'c', 'd', 'e', 'f'].map((name) => numberIn(query, name, 7, 100))).toEqual([
    5,
    null,
    null,
    null,
    7,
    null,
  ])
})

test('what would take the server down is refused', () => {
  const asks = (given: Record<string, string>) => new URLSearchParams(given)
  expect(jobSource(asks({ key: 'x', steps: '1e12' }))).toContain(`at most ${STEPS_MOST}`)
  expect(jobSource(asks({ key: 'x', at: '-5' }))).toContain('whole steps')
  expect(jobSource(asks({ key: '__proto__' }))).toBe('Say which job.')
  expect(messageSource(asks({ key: 'x', after: 'NaN' }))).toContain('Say whose')
})

test('jobs nobody listens to are dropped, and there are never too many', () => {
  jobs.clear()
  jobs.set('old', job({ heardAt: 0 }))
  jobs.set('new', job({ heardAt: FORGET_AFTER }))
  forget(FORGET_AFTER + 1)
  expect([...jobs.keys()]).toEqual(['new'])
  for (let n = 0; n < JOBS_MOST + 20; n++) jobs.set(`job ${n}`, job({ heardAt: FORGET_AFTER + n }))
  forget(FORGET_AFTER + 1)
  expect(jobs.size).toBe(JOBS_MOST)
  expect(jobs.has(`job ${JOBS_MOST + 19}`)).toBe(true)
  jobs.clear()
})

test('only so many pages listen at once; those that leave make room', () => {
  const leaving = Array.from({ length: STREAMS_MOST }, () => new AbortController())
  for (const { signal } of leaving) expect(eventStream([], signal).status).toBe(200)
  expect(eventStream([], new AbortController().signal).status).toBe(503)
  for (const one of leaving) one.abort()
  expect(eventStream([], AbortSignal.abort()).status).toBe(200)
})
