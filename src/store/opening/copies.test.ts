import { MemoryStore, makeShelf } from '@testing/shelf'
import type { State } from '@/core/model/state'
import type { ChangeLog } from '@/store/disk/changeLog'
import type { Spare } from '@/store/disk/spare'
import { changeContent, provideContents } from '@/store/documents/documents'
import { database } from '@/store/documents/source'
import { healthOf } from '@/store/health'
import type { Shelf } from '@/store/shelf'
import { COPY_EVERY, Copies } from './copies'

let shelf: Shelf

/** A second place that keeps what it is given, or fails when it is told to. */
function copying() {
  const states: State[] = []
  const inOne: unknown[] = []
  const documents = new Map<string, unknown>()
  const order: string[] = []
  const place = { full: false, silent: false }
  const spare = {
    write: async (state: State, _is: unknown, said: unknown) => {
      if (place.full) throw new Error('full')
      order.push('copy')
      states.push(state)
      inOne.push(said)
    },
    writeDocument: async (id: string, content: unknown) => {
      if (place.silent) await new Promise(() => {})
      documents.set(id, content)
    },
    removeDocument: async (id: string) => void documents.delete(id),
  } as unknown as Spare
  const log = {
    turn: () => order.push('turn'),
    drop: () => order.push('drop'),
    close: () => order.push('close'),
    state: () => {},
    document: () => {},
  } as unknown as ChangeLog
  const copies = new Copies(shelf, spare, log, async () => {})
  return { copies, states, inOne, documents, order, place }
}

beforeEach(() => {
  jest.useFakeTimers()
  shelf = makeShelf()
  provideContents(shelf, { source: database(new MemoryStore()), changed: () => {} })
})
afterEach(() => jest.useRealTimers())

test('the first change is copied soon, the next ones together some time after it', async () => {
  const { copies, states } = copying()
  copies.soon()
  await jest.advanceTimersByTimeAsync(1000)
  expect(states).toHaveLength(1)
  copies.soon()
  copies.soon()
  await jest.advanceTimersByTimeAsync(5000)
  expect(states).toHaveLength(1)
  await jest.advanceTimersByTimeAsync(COPY_EVERY)
  expect(states).toHaveLength(2)
})

test('the first copy has what documents say in one; they come to files of their own with the next', async () => {
  const { copies, inOne, documents } = copying()
  changeContent(shelf, 'note', 'snow', 'saved')
  await copies.first()
  expect(inOne).toEqual([new Map([['note', { saved: 'snow', draft: null }]])])
  expect(documents.size).toBe(0)
  copies.soon()
  await jest.advanceTimersByTimeAsync(COPY_EVERY)
  expect(inOne[1]).toEqual(new Map())
  expect(documents.get('note')).toEqual({ saved: 'snow', draft: null })
})

test('the log is only let go of when the copy that has it is written', async () => {
  const { copies, order, place, documents } = copying()
  changeContent(shelf, 'note', 'snow', 'saved')
  await copies.now()
  expect(order).toEqual(['turn', 'copy', 'drop'])
  expect(documents.get('note')).toEqual({ saved: 'snow', draft: null })
  place.full = true
  changeContent(shelf, 'note', 'more', 'saved')
  await copies.now()
  expect(order.slice(3)).toEqual(['turn'])
  // What could not be copied is copied the next time.
  place.full = false
  await copies.now()
  expect(documents.get('note')).toEqual({ saved: 'more', draft: null })
  expect(order.slice(4)).toEqual(['turn', 'copy', 'drop'])
})

test('a file that never answers is told, and holds no later copy up', async () => {
  const { copies, place, documents } = copying()
  place.silent = true
  changeContent(shelf, 'note', 'snow', 'saved')
  copies.soon()
  await jest.advanceTimersByTimeAsync(25_000)
  expect(healthOf(shelf, 'copy')).toMatchObject({
    is: 'amiss',
    says: expect.stringContaining('The browser doesn’t answer.'),
  })
  place.silent = false
  await jest.advanceTimersByTimeAsync(COPY_EVERY)
  expect(healthOf(shelf, 'copy')?.is).toBe('good')
  expect(documents.get('note')).toEqual({ saved: 'snow', draft: null })
})

test('after the shelf was let go nothing is copied, also not what was waiting its turn', async () => {
  const { copies, states, order } = copying()
  const first = copies.now()
  const second = copies.now()
  copies.stop()
  await Promise.all([first, second])
  copies.soon()
  await jest.advanceTimersByTimeAsync(2 * COPY_EVERY)
  expect(states).toHaveLength(0)
  expect(order).toEqual(['close'])
})
