import type { JournalEvent } from '@/core/journal/events'
import { seeded } from './seeded'
import { suggestionsFrom, type There } from './suggestions'
import { alternationsOf, groupsOf } from './together'

const MINUTE = 60_000
const focus = (minute: number, window: string): JournalEvent => ({
  at: minute * MINUTE,
  kind: 'focus',
  by: 'key',
  window,
  app: 'document',
})

test('there and back within five minutes is one alternation; the same window twice is none', () => {
  const events = [
    focus(0, 'a'),
    focus(1, 'b'),
    focus(1.5, 'b'),
    focus(2, 'a'),
    focus(3, 'b'),
    focus(9, 'a'),
    focus(10, 'c'),
  ]
  expect(alternationsOf(events)).toEqual([{ between: ['a', 'b'], times: 2 }])
  expect(alternationsOf([])).toEqual([])
  expect(groupsOf([])).toEqual([])
})

test('in 200 planted weeks the windows used together are found, and hardly ever others', () => {
  const random = seeded(20)
  const there: There = {
    desktops: ['one', 'two', 'three'],
    homes: [],
    declined: [],
    letters: {},
    strokes: () => 1,
    windows: { a: 'one', b: 'two', c: 'one', d: 'two', e: 'three', f: 'three' },
  }
  let found = 0
  let wrong = 0
  for (let week = 0; week < 200; week++) {
    const events: JournalEvent[] = []
    let at = 0
    let last = 'a'
    for (let n = 0; n < 400; n++) {
      at += 0.5 + random() * 3
      // Mostly between a and b; now and then anywhere.
      const anywhere = ['c', 'd', 'e', 'f'][Math.floor(random() * 4)] ?? 'c'
      last = random() < 0.15 ? anywhere : last === 'a' ? 'b' : 'a'
      events.push(focus(at, last))
    }
    const groups = suggestionsFrom(events, there, at).filter(({ kind }) => kind === 'group')
    if (
      groups.some(
        (one) => one.kind === 'group' && one.windows.includes('a') && one.windows.includes('b'),
      )
    )
      found++
    if (groups.length > 1) wrong++
  }
  expect(found).toBe(200)
  expect(wrong).toBeLessThanOrEqual(4)
})

test('windows that stand together, or are gone, are no group to be made', () => {
  const events = Array.from({ length: 60 }, (_, n) => focus(n, n % 2 ? 'a' : 'b'))
  const there = { desktops: ['one', 'two'], homes: [], declined: [], letters: {}, strokes: () => 1 }
  const kinds = (windows: Record<string, string>, declined: string[] = []) =>
    suggestionsFrom(events, { ...there, windows, declined }, 0).map(({ id }) => id)
  expect(kinds({ a: 'one', b: 'two' })).toEqual(['group a b'])
  expect(kinds({ a: 'one', b: 'one' })).toEqual([])
  expect(kinds({ a: 'one' })).toEqual([])
  expect(kinds({ a: 'one', b: 'gone' })).toEqual([])
  expect(kinds({ a: 'one', b: 'two' }, ['group a b'])).toEqual([])
})

test('a letter of two strokes that is used far more than one of a single is to be swapped', () => {
  const gone = (count: number, to: string): JournalEvent[] =>
    Array.from({ length: count }, (_, n) => ({ at: n, kind: 'switch', by: 'key', to }))
  const there: There = {
    desktops: ['a', 'b', 'c'],
    homes: [],
    declined: [],
    letters: { a: 'YA', b: 'B', c: 'C' },
    strokes: () => 1,
    windows: {},
  }
  const events = [...gone(30, 'a'), ...gone(9, 'b'), ...gone(20, 'c')]
  expect(suggestionsFrom(events, there, 0)).toEqual([
    { id: 'letter a b', kind: 'letter', desktop: 'a', letter: 'B', other: 'b', times: [30, 9] },
  ])
  expect(suggestionsFrom([...gone(19, 'a')], there, 0)).toEqual([])
  expect(suggestionsFrom([...gone(30, 'a'), ...gone(11, 'b'), ...gone(11, 'c')], there, 0)).toEqual(
    [],
  )
})

test('the hour in which one was interrupted longest is told, where it came on several days', () => {
  const day = (n: number, hour: number, minute: number) =>
    new Date(2026, 2, n, hour, minute).getTime()
  const interrupted = (n: number, hour: number, back: number): JournalEvent[] => [
    { at: day(n, hour, 0), kind: 'asks', by: 'app', app: 'messages', to: 'b' },
    { at: day(n, hour, 1), kind: 'switch', by: 'key', from: 'a', to: 'b' },
    { at: day(n, hour, 1 + back), kind: 'switch', by: 'key', from: 'b', to: 'a' },
  ]
  const there: There = {
    desktops: ['a', 'b'],
    homes: [],
    declined: [],
    letters: {},
    strokes: () => 1,
    windows: {},
  }
  const week = [2, 3, 4, 5, 6].flatMap((n) => [...interrupted(n, 9, 4), ...interrupted(n, 14, 1)])
  expect(suggestionsFrom(week, there, day(6, 18, 0))).toEqual([
    { id: 'quiet 9', kind: 'quiet', hour: 9, desktop: 'a', times: 5, days: 5, away: 20 * MINUTE },
  ])
  expect(suggestionsFrom(week.slice(0, 12), there, day(6, 18, 0))).toEqual([])
})
