import { makeShelf } from '@testing/shelf'
import type { JournalEvent } from '@/core/journal/events'
import { eventsOf, forgetDays, Journal } from './journal'

const at = (day: number, hour: number): number => new Date(2026, 2, day, hour).getTime()
const event = (moment: number): JournalEvent => ({
  at: moment,
  kind: 'switch',
  by: 'key',
  from: 'a',
  to: 'b',
})

/** A store in memory that copies what it is given, as the browser does. */
function storeOf(records: Map<string, unknown>) {
  return {
    getItem: async (key: string) => records.get(key) ?? null,
    setItem: async (key: string, value: unknown) => void records.set(key, structuredClone(value)),
    removeItem: async (key: string) => void records.delete(key),
    keys: async () => [...records.keys()],
  }
}

test('events go to the record of their day, after those already there', async () => {
  const records = new Map<string, unknown>([['2026-03-04', [event(at(4, 7))]]])
  const journal = new Journal(makeShelf(), storeOf(records))
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
    ...storeOf(new Map()),
    setItem: async (key: string) => {
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
    ...storeOf(records),
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

/** Once a minute from an hour on, each from the desktop before to the next. */
const many = (day: number, hour: number, count: number): JournalEvent[] =>
  Array.from({ length: count }, (_, n) => ({
    ...event(at(day, hour) + n * 60_000),
    from: `desktop ${n}`,
    to: `desktop ${n + 1}`,
  }))

test('what is struck is gone for good, today and on days before, and what comes after it is kept', async () => {
  for (const day of [3, 4]) {
    const records = new Map<string, unknown>()
    const store = storeOf(records)
    const before = new Journal(makeShelf(), store)
    await before.open(at(day, 8))
    before.add(many(day, 9, 120))
    await before.write()
    // The same day, or the next.
    const journal = new Journal(makeShelf(), store)
    await journal.open(at(4, 20))
    const [from, until] = [at(day, 9) + 10 * 60_000, at(day, 9) + 90 * 60_000]
    const striking = journal.strike(from, until)
    journal.add([event(at(4, 21))])
    await striking
    await journal.write()
    const left = await eventsOf(store, at(day, 12))
    const told = JSON.stringify([...records.values()])
    for (let n = 11; n < 90; n++) expect(told).not.toContain(`"desktop ${n}"`)
    expect(left.slice(0, 10)).toEqual(many(day, 9, 10))
    expect(left[10]).toEqual({ at: from, kind: 'away', by: 'app' })
    expect(left[11]).toEqual({ at: until, kind: 'switch', by: 'key', to: 'desktop 91' })
    expect(left.slice(12, 41)).toEqual(many(day, 9, 120).slice(91))
    expect((await eventsOf(store, at(4, 12))).at(-1)).toEqual(event(at(4, 21)))
    // The whole day.
    await journal.strike(at(3, 0), at(4, 0))
    expect(await eventsOf(store, at(3, 12))).toEqual([])
  }
})

test('an app is struck from every day, from today as well', async () => {
  const records = new Map<string, unknown>()
  const store = storeOf(records)
  const journal = new Journal(makeShelf(), store)
  const opens = (day: number, app: string): JournalEvent[] => [
    { ...event(at(day, 9)), kind: 'open', app },
    { ...event(at(day, 10)), app },
  ]
  for (const day of [3, 4, 5]) for (const app of ['table', 'reader']) journal.add(opens(day, app))
  await journal.write()
  await journal.strikeApp('table')
  await journal.write()
  expect(JSON.stringify([...records.values()])).not.toContain('table')
  for (const day of [3, 4, 5])
    expect(await eventsOf(store, at(day, 12))).toEqual([
      { ...event(at(day, 9)), kind: 'focus' },
      event(at(day, 10)),
      ...opens(day, 'reader'),
    ])
})

test('days before a moment are forgotten; where none is kept nothing is written', async () => {
  const records = new Map<string, unknown>()
  const store = storeOf(records)
  const shelf = makeShelf()
  const journal = new Journal(shelf, store)
  for (const day of [3, 4, 5]) journal.add(many(day, 9, 60))
  await journal.write()
  expect(records.size).toBe(6)
  await forgetDays(store, at(5, 3))
  expect([...records.keys()]).toEqual(['2026-03-05', '2026-03-05.1'])
  shelf.dispatch('settings.set', { log: 0 }, 'key')
  journal.add(many(6, 9, 3))
  await journal.write()
  expect([...records.keys()]).toEqual(['2026-03-05', '2026-03-05.1'])
})
