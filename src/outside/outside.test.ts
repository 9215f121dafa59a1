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
import { take } from './replies'
import {
  eventStream,
  isRunning,
  leave,
  listen,
  numberIn,
  SOURCES_MOST,
  type Source,
  STREAMS_MOST,
  setRunning,
} from './streams'

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

/** A page that listens, and what it was told once it has left. */
function listening(name: string) {
  const left = new AbortController()
  const answer = eventStream(name, left.signal)
  return async () => {
    left.abort()
    return (await lines(answer)).slice(1)
  }
}

test('one stream tells of several sources; one that breaks off leaves the others', async () => {
  const [one, two] = [byHand('one'), byHand('two')]
  const told = listening('page')
  expect(listen('page', [one, two])).toEqual([])
  one.send({ step: 1 })
  setRunning('one', false)
  expect([one.stopped, two.stopped]).toEqual([true, false])
  two.send({ step: 2 })
  const all = await told()
  expect(two.stopped).toBe(true)
  expect(all).toEqual([
    { key: 'one', heard: true },
    { key: 'two', heard: true },
    { key: 'one', event: { step: 1 } },
    { key: 'one', heard: false },
    { key: 'two', event: { step: 2 } },
  ])
  setRunning('one', true)
})

test('what is down is told so, until it runs again; what is left tells no more', async () => {
  const told = listening('page')
  setRunning('three', false)
  expect(isRunning('three')).toBe(false)
  listen('page', [byHand('three')])
  setRunning('three', true)
  const three = byHand('three')
  listen('page', [three])
  expect(leave('page', ['three', 'never asked for'])).toBe(true)
  expect(three.stopped).toBe(true)
  expect(await told()).toEqual([
    { key: 'three', heard: false },
    { key: 'three', heard: true },
  ])
  expect(listen('page', [three])).toBeNull()
  expect(leave('page', ['three'])).toBe(false)
})

test('a page listens to a thousand things; what is too much is named, and takes no other with it', async () => {
  const told = listening('page')
  const many = Array.from({ length: SOURCES_MOST + 2 }, (_, at) => byHand(`thread ${at}`))
  const over = many.slice(-2).map(({ key }) => key)
  expect(listen('page', many)).toEqual(over)
  // The same again is not one more.
  expect(listen('page', [byHand('thread 7')])).toEqual([])
  expect(many[7]?.stopped).toBe(true)
  expect((await told()).length).toBe(SOURCES_MOST + 1)
  expect(many.slice(0, SOURCES_MOST).every(({ stopped }) => stopped)).toBe(true)
})

test('a reply is taken once, however often it is told', () => {
  expect([take('reply'), take('reply'), take('other')]).toEqual([true, false, true])
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
    const told: { number?: number; thread?: string; writing?: string }[] = []
    const query = new URLSearchParams({ key: 'line', seed: '2', after: '5', speed: '10' })
    const stop = source(messageSource(query)).begin((event) => told.push(event))
    jest.advanceTimersByTime((MESSAGE_EVERY / 10) * 3)
    stop()
    jest.advanceTimersByTime(MESSAGE_EVERY)
    expect(told.map(({ number }) => number)).toEqual([undefined, 6, undefined, 7, undefined, 8])
    // Who wrote it was seen to write.
    expect(told.map(({ writing }) => writing).filter(Boolean)).toEqual(
      told.map(({ thread }) => thread).filter(Boolean),
    )
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
  for (const [at, { signal }] of leaving.entries())
    expect(eventStream(`page ${at}`, signal).status).toBe(200)
  expect(eventStream('one more', new AbortController().signal).status).toBe(503)
  // One that connects anew is not one more.
  expect(eventStream('page 3', leaving[3]?.signal as AbortSignal).status).toBe(200)
  for (const one of leaving) one.abort()
  expect(eventStream('one more', AbortSignal.abort()).status).toBe(200)
})
