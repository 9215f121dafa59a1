import { makeShelf } from '@testing/shelf'
import type { Shelf } from './shelf'
import { type Work, work, works } from './working'

let shelf: Shelf
const list = (): Work[] => works(shelf).getState().list

beforeEach(() => {
  shelf = makeShelf()
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())

test('what is done at once is not shown; what takes long is, with its progress', async () => {
  await work(shelf, 'Quick', async () => 1)
  let done = () => {}
  const result = work(shelf, 'Slow', ({ progress }) => {
    setTimeout(() => progress(0.5), 1000)
    return new Promise<string>((resolve) => (done = () => resolve('read')))
  })
  await jest.advanceTimersByTimeAsync(300)
  expect(list()).toEqual([])
  await jest.advanceTimersByTimeAsync(800)
  expect(list()).toMatchObject([{ text: 'Slow', progress: 0.5 }])
  done()
  expect(await result).toBe('read')
  expect(list()).toEqual([])
})

test('it is ended when the person wants, and leaves nothing', async () => {
  const result = work(
    shelf,
    'Endless',
    ({ signal }) =>
      new Promise((_, reject) => {
        signal.addEventListener('abort', () => reject(new Error('ended')))
      }),
  )
  const ended = expect(result).rejects.toThrow('ended')
  await jest.advanceTimersByTimeAsync(500)
  list()[0]?.cancel()
  await ended
  expect(list()).toEqual([])
})
