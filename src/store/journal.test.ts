import { makeShelf } from '@testing/shelf'
import type { JournalEvent } from '@/core/journal/events'
import { Journal } from './journal'

const at = (day: number, hour: number): number => new Date(2026, 2, day, hour).getTime()
const event = (moment: number): JournalEvent => ({
  at: moment,
  kind: 'switch',
  by: 'key',
  from: 'a',
  to: 'b',
})

test('events go to the record of their day, after those already there', async () => {
  const records = new Map<string, unknown>([['2026-03-04', [event(at(4, 7))]]])
  const store = {
    getItem: async (key: string) => records.get(key) ?? null,
    setItem: async (key: string, value: unknown) => void records.set(key, value),
  }
  const journal = new Journal(makeShelf(), store)
  await journal.open(at(4, 8))
  journal.add([event(at(4, 9)), event(at(5, 0))])
  await journal.write()
  expect(records.get('2026-03-04')).toEqual([event(at(4, 7)), event(at(4, 9))])
  expect(records.get('2026-03-05')).toEqual([event(at(5, 0))])
})

test('what could not be written is written the next time', async () => {
  let full = true
  const written: string[] = []
  const journal = new Journal(makeShelf(), {
    getItem: async () => null,
    setItem: async (key) => {
      if (full) throw new Error('full')
      written.push(key)
    },
  })
  journal.add([event(at(4, 9))])
  await expect(journal.write()).rejects.toThrow('full')
  full = false
  await journal.write()
  expect(written).toEqual(['2026-03-04'])
})

test('a long day is kept in parts: an event writes a small record, and all is read again', async () => {
  const records = new Map<string, unknown>()
  let written = 0
  const store = {
    getItem: async (key: string) => records.get(key) ?? null,
    setItem: async (key: string, value: unknown) => {
      written = JSON.stringify(value).length
      records.set(key, structuredClone(value))
    },
  }
  const journal = new Journal(makeShelf(), store)
  await journal.open(at(4, 8))
  for (let n = 0; n < 130; n++) {
    journal.add([event(at(4, 9) + n)])
    await journal.write()
    expect(written).toBeLessThan(5000)
  }
  expect([...records.keys()]).toEqual(['2026-03-04', '2026-03-04.1', '2026-03-04.2'])
  const again = new Journal(makeShelf(), store)
  await again.open(at(4, 10))
  again.add([event(at(4, 11))])
  await again.write()
  const all = [...records.values()].flat() as JournalEvent[]
  expect(all.map((one) => one.at)).toEqual([
    ...Array.from({ length: 130 }, (_, n) => at(4, 9) + n),
    at(4, 11),
  ])
})
