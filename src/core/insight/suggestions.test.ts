import type { JournalEvent } from '@/core/journal/events'
import { atLeast, suggestionsFrom } from './suggestions'

const DAY = 24 * 3_600_000
const opened = (n: number, app: string, to: string): JournalEvent => ({
  at: n * 1000,
  kind: 'open',
  by: 'key',
  app,
  to,
})
const nothing = {
  desktops: ['a', 'b', 'c'],
  homes: [],
  declined: [],
  letters: {},
  windows: {},
  strokes: () => 1,
}

test('the lower bound of Wilson’s interval', () => {
  // As tables have it.
  expect(atLeast(5, 5)).toBeCloseTo(0.566, 3)
  expect(atLeast(6, 6)).toBeCloseTo(0.61, 3)
  expect(atLeast(90, 100)).toBeCloseTo(0.826, 3)
  expect(atLeast(0, 10)).toBeCloseTo(0, 9)
  expect(atLeast(0, 0)).toBe(0)
})

test('a home is suggested where it is nearly sure, not where there is one, nor again once declined', () => {
  const events = [
    ...Array.from({ length: 8 }, (_, n) => opened(n, 'reader', 'b')),
    opened(9, 'reader', 'a'),
    ...Array.from({ length: 4 }, (_, n) => opened(10 + n, 'table', 'c')),
    ...Array.from({ length: 12 }, (_, n) => opened(20 + n, 'document', n % 2 ? 'a' : 'b')),
  ]
  // Eight of nine are not enough to be sure; ten of eleven are.
  expect(atLeast(8, 9)).toBeLessThan(0.6)
  expect(suggestionsFrom(events, nothing, 1e9)).toEqual([])
  const more = [...events, opened(40, 'reader', 'b'), opened(41, 'reader', 'b')]
  const found = suggestionsFrom(more, nothing, 1e9)
  expect(found).toMatchObject([{ id: 'home reader b', kind: 'home', all: 11 }])
  expect(found[0]?.kind === 'home' && found[0].there).toHaveLength(10)
  const home = { id: 'h', app: 'reader', desktop: 'a', follow: true, on: true }
  expect(suggestionsFrom(more, { ...nothing, homes: [home] }, 1e9)).toEqual([])
  expect(suggestionsFrom(more, { ...nothing, declined: ['home reader b'] }, 1e9)).toEqual([])
  // One that is gone is not meant.
  expect(suggestionsFrom(more, { ...nothing, desktops: ['a'] }, 1e9)).toEqual([])
})

test('a desktop nobody looked at for two weeks, where so much is known', () => {
  const looked = (day: number, to: string): JournalEvent => ({
    at: day * DAY,
    kind: 'switch',
    by: 'key',
    to,
  })
  const events = [looked(1, 'a'), looked(2, 'b'), looked(18, 'a')]
  expect(suggestionsFrom(events, nothing, 20 * DAY)).toEqual([
    { id: 'stow b', kind: 'stow', desktop: 'b', last: 2 * DAY },
    { id: 'stow c', kind: 'stow', desktop: 'c', last: null },
  ])
  expect(suggestionsFrom(events, nothing, 14 * DAY)).toEqual([])
})

test('in 200 planted weeks the home is found, and hardly ever one where there is none', () => {
  let state = 36
  const random = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) | 0
    return (state >>> 0) / 4_294_967_296
  }
  let found = 0
  let wrong = 0
  for (let week = 0; week < 200; week++) {
    const events = Array.from({ length: 60 }, (_, n) =>
      n % 2
        ? // Nine of ten on one desktop.
          opened(n, 'planted', random() < 0.9 ? 'b' : 'c')
        : opened(n, 'anywhere', ['a', 'b', 'c'][Math.floor(random() * 3)] ?? 'a'),
    )
    const ids = suggestionsFrom(events, nothing, 1e9).map(({ id }) => id)
    if (ids.includes('home planted b')) found++
    if (ids.some((id) => id !== 'home planted b')) wrong++
  }
  expect(found).toBeGreaterThanOrEqual(190)
  expect(wrong).toBeLessThanOrEqual(4)
})

test('what is given often and takes many strokes, or has no keys, is to get a light one', () => {
  const given = (command: string, times: number): JournalEvent[] =>
    Array.from({ length: times }, (_, at) => ({ at, kind: 'does', by: 'pointer', command }))
  const STROKES: Record<string, number | null> = { light: 1, long: 2, none: null }
  const there = { ...nothing, strokes: (command: string) => STROKES[command] ?? null }
  const found = (...events: JournalEvent[]) => suggestionsFrom(events, there, 100)
  expect(found(...given('none', 9), ...given('long', 24), ...given('light', 99))).toEqual([])
  expect(found(...given('none', 10))).toEqual([
    { id: 'keys none', kind: 'keys', command: 'none', times: 10 },
  ])
  expect(found(...given('none', 10), ...given('long', 25))).toEqual([
    { id: 'keys long', kind: 'keys', command: 'long', times: 25 },
  ])
  const declined = { ...there, declined: ['keys none'] }
  expect(suggestionsFrom(given('none', 10), declined, 100)).toEqual([])
})
