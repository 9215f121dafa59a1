import { Keeper } from './keeper'

jest.useFakeTimers()

function keeper(write: () => Promise<void>) {
  const log: string[] = []
  const work = new Keeper({
    write: async () => {
      log.push('write')
      await write()
    },
    saving: () => log.push('saving'),
    saved: () => log.push('saved'),
    failed: () => log.push('failed'),
  })
  return { work, log }
}

test('changes of one moment are one write, right after them', async () => {
  const { work, log } = keeper(async () => {})
  work.soon()
  await jest.advanceTimersByTimeAsync(5)
  work.soon()
  await jest.advanceTimersByTimeAsync(30)
  expect(log).toEqual(['saving', 'write', 'saved'])
})

test('a change while writing is written after it', async () => {
  let done = () => {}
  const { work, log } = keeper(() => new Promise((resolve) => (done = resolve)))
  const first = work.flush()
  void work.flush()
  done()
  await jest.advanceTimersByTimeAsync(0)
  done()
  await first
  expect(log).toEqual(['write', 'write', 'saved'])
})

test('a failure is told and tried again', async () => {
  let full = true
  const { work, log } = keeper(async () => {
    if (full) throw new Error('full')
  })
  await work.flush()
  full = false
  await jest.advanceTimersByTimeAsync(5000)
  expect(log).toEqual(['write', 'failed', 'write', 'saved'])
})

test('what failed is tried again with the next change', async () => {
  let full = true
  const { work, log } = keeper(async () => {
    if (full) throw new Error('full')
  })
  await work.flush()
  work.soon()
  await jest.advanceTimersByTimeAsync(20)
  expect(log).toEqual(['write', 'failed', 'write', 'failed'])
  full = false
  work.soon()
  work.soon()
  await jest.advanceTimersByTimeAsync(20)
  expect(log.slice(4)).toEqual(['write', 'saved'])
  work.soon()
  await jest.advanceTimersByTimeAsync(10_000)
  expect(log.slice(6)).toEqual(['saving', 'write', 'saved'])
})

test('a write that failed is not tried again once the shelf was let go', async () => {
  const { work, log } = keeper(async () => {
    throw new Error('full')
  })
  await work.flush()
  work.stop()
  work.soon()
  await jest.advanceTimersByTimeAsync(20_000)
  expect(log).toEqual(['write', 'failed'])
})

test('what changed while it was let go is not written after it', async () => {
  let done = () => {}
  const { work, log } = keeper(() => new Promise((resolve) => (done = resolve)))
  const first = work.flush()
  void work.flush()
  work.stop()
  done()
  await first
  expect(log.filter((one) => one === 'write')).toHaveLength(1)
})
