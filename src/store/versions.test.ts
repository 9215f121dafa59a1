import { MemoryStore } from '@testing/shelf'
import type { KeptContent } from '@/core/formats/shelfFile'
import { VERSION_EVERY, VERSIONS_MOST, Versions, versionAt } from './versions'

/** A document that is written over, and what keeps what it said. */
function kept() {
  const store = new MemoryStore()
  const documents = new Map<string, KeptContent>()
  const clock = { now: 1_000_000 }
  const versions = new Versions(store, () => clock.now)
  const wanted = { is: true }
  const source = versions.before(
    {
      read: async (id) => documents.get(id) ?? null,
      write: async (id, content) => content && documents.set(id, content),
    },
    () => wanted.is,
  )
  const write = async (text: string, later: number) => {
    clock.now += later
    await source.write('notes-1', { saved: { text }, draft: null })
    await new Promise((done) => setTimeout(done))
  }
  const saidAt = async (moment: number) => {
    const version = versionAt(await versions.all(), 'notes-1', moment)
    return version ? await versions.read(version) : 'as now'
  }
  return { store, versions, wanted, clock, write, saidAt }
}

test('what was said before a change is kept, once in five minutes', async () => {
  const { write, saidAt, versions } = kept()
  await write('first', 0)
  expect(await versions.all()).toEqual([])
  await write('second', VERSION_EVERY)
  await write('third', 1000)
  await write('fourth', VERSION_EVERY)
  expect(await saidAt(1_000_500)).toEqual({ text: 'first' })
  expect(await saidAt(1_000_000 + VERSION_EVERY + 2000)).toEqual({ text: 'third' })
  expect(await saidAt(9e9)).toBe('as now')
})

test('none is kept where none is wanted, nor of what is very long; what cannot be kept holds nothing up', async () => {
  const { write, versions, wanted, store } = kept()
  await write('x'.repeat(500_000), 0)
  await write('short', VERSION_EVERY)
  expect(await versions.all()).toEqual([])
  wanted.is = false
  await write('other', 2 * VERSION_EVERY)
  wanted.is = true
  store.failing = { writes: /said/ }
  await write('again', VERSION_EVERY)
  expect(await versions.all()).toEqual([])
})

test('what is struck, is old or too much goes', async () => {
  const { store, versions } = kept()
  for (let at = 1; at <= VERSIONS_MOST + 10; at++) store.items.set(`said-${at * 1000}-notes-1`, at)
  await versions.forget(0)
  expect((await versions.all())[0]).toEqual({ document: 'notes-1', until: 11_000 })
  await versions.forget(20_000)
  expect((await versions.all())[0]?.until).toBe(21_000)
  await versions.strike(21_500, 24_000)
  expect((await versions.all()).slice(0, 2).map(({ until }) => until)).toEqual([21_000, 25_000])
})
