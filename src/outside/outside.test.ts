import { isPrivate, mayBeFramed } from './framing'
import { ending, logOf, type RunningJob, stepAt } from './jobs'
import { messageAt } from './messages'
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

test('a stream tells events until its service stops; then there is none until it starts', async () => {
  let send: (event: object) => void = () => {}
  let stopped = false
  const answer = eventStream('one', new AbortController().signal, (given) => {
    send = given
    return () => {
      stopped = true
    }
  })
  send({ step: 1 })
  setRunning('one', false)
  expect(stopped).toBe(true)
  expect(await answer.text()).toBe(': here\n\ndata: {"step":1}\n\n')
  expect(eventStream('one', new AbortController().signal, () => () => {}).status).toBe(503)
  expect(isRunning('two')).toBe(true)
  setRunning('one', true)
  expect(isRunning('one')).toBe(true)
})

test('numbers in a query are taken when they are numbers', () => {
  const query = new URLSearchParams('a=5&b=x&c=-1&d=')
  expect(['a', 'b', 'c', 'e'].map((name) => numberIn(query, name, 7))).toEqual([5, 7, 7, 7])
})
