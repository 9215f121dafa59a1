import { AskedLocks } from './locks'

interface Heard {
  onmessage?: (event: { data: unknown }) => void
}

/** Pages that hear each other, as through the browser's channels. */
function browser() {
  const heard = new Map<object, Heard>()
  const page = () => {
    const channel: Heard & Pick<BroadcastChannel, 'postMessage'> & { close(): void } = {
      postMessage: (data: unknown) => {
        for (const [other, { onmessage }] of heard)
          if (other !== channel) queueMicrotask(() => onmessage?.({ data }))
      },
      close: () => void heard.delete(channel),
    }
    heard.set(channel, channel)
    return {
      /** It is busy: it hears nothing for so long, in milliseconds. */
      slow: (time: number) => {
        const { onmessage } = channel
        channel.onmessage = (event) => setTimeout(() => onmessage?.(event), time)
      },
      locks: new AskedLocks(() => channel as unknown as BroadcastChannel),
      /** It is killed: it answers nothing any more. */
      kill: () => heard.delete(channel),
    }
  }
  return page
}

const notes = new Map<string, string>()

beforeEach(() => {
  notes.clear()
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => notes.get(key) ?? null,
      setItem: (key: string, text: string) => notes.set(key, text),
      removeItem: (key: string) => notes.delete(key),
    },
  })
})

/** Holds a lock until it is let go, and tells what became of it. */
function hold(locks: AskedLocks, options: LockOptions = {}) {
  let release = () => {}
  let lost = false
  const got = new Promise<boolean>((resolve) => {
    locks
      .request('shelf', options, (lock) => {
        resolve(lock !== null)
        return lock ? new Promise<void>((done) => (release = done)) : undefined
      })
      .catch(() => {
        lost = true
        resolve(false)
      })
  })
  return { got, release: () => release(), lost: () => lost }
}

test('one page has it; another has it when that lets go, at once', async () => {
  const page = browser()
  const [one, two] = [page().locks, page().locks]
  const first = hold(one)
  expect(await first.got).toBe(true)
  expect(await hold(two, { ifAvailable: true }).got).toBe(false)
  const waits = hold(two)
  await new Promise((done) => setTimeout(done, 300))
  first.release()
  expect(await waits.got).toBe(true)
  expect(await hold(one, { ifAvailable: true }).got).toBe(false)
})

test('of two who want it at once just one has it, and a page does not have it twice', async () => {
  const page = browser()
  const [one, two] = [page().locks, page().locks]
  const all = [one, two, one].map((locks) => hold(locks, { ifAvailable: true }).got)
  expect((await Promise.all(all)).filter(Boolean)).toHaveLength(1)
})

test('what a page held is free when it is gone; who is no longer interested does not get it', async () => {
  const page = browser()
  const [one, two] = [page(), page()]
  await hold(one.locks).got
  const ending = new AbortController()
  const ended = hold(two.locks, { signal: ending.signal })
  const waits = hold(two.locks)
  ending.abort()
  expect(await ended.got).toBe(false)
  one.kill()
  expect(await waits.got).toBe(true)
})

test('it is taken from who holds it, who is told', async () => {
  const page = browser()
  const [one, two] = [page().locks, page().locks]
  const first = hold(one)
  await first.got
  expect(await hold(two, { steal: true }).got).toBe(true)
  await new Promise((done) => setTimeout(done))
  expect(first.lost()).toBe(true)
  expect(await one.query()).toEqual({ held: [], pending: [] })
})

test('a busy page that holds it has more time to answer; what it noted goes with the lock', async () => {
  const page = browser()
  const [one, two] = [page(), page()]
  const first = hold(one.locks)
  await first.got
  one.slow(800)
  expect(await hold(two.locks, { ifAvailable: true }).got).toBe(false)
  first.release()
  await new Promise((done) => setTimeout(done))
  expect(notes.size).toBe(0)
})
