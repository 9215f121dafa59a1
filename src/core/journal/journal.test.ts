import fc from 'fast-check'
import type { EventKind, JournalEvent } from './events'
import { shareByKey } from './share'
import { withoutApp } from './striking'
import { timeOn } from './time'
import { eventInWords, spell } from './words'

const event = (at: number, kind: EventKind, to?: string): JournalEvent => ({
  at,
  kind,
  by: 'key',
  ...(to && { to }),
})

test('time goes to the desktop one is on, until one goes on or looks away', () => {
  const day = [
    event(100, 'here', 'field'),
    event(160, 'switch', 'rota'),
    event(170, 'focus', 'rota'),
    event(200, 'away'),
    event(500, 'here', 'rota'),
    event(520, 'switch', 'field'),
  ]
  expect(timeOn(day, 0, 600)).toEqual({ field: 60 + 80, rota: 40 + 20 })
})

test('a page that was shut without a word counts up to the last thing that happened', () => {
  const day = [event(0, 'here', 'field'), event(50, 'focus', 'field'), event(900, 'here', 'rota')]
  expect(timeOn(day, 0, 1000)).toEqual({ field: 50, rota: 100 })
})

test('only what lies between the two moments counts', () => {
  const day = [event(0, 'here', 'field'), event(80, 'switch', 'rota')]
  expect(timeOn(day, 50, 100)).toEqual({ field: 30, rota: 20 })
  expect(timeOn([], 0, 100)).toEqual({})
})

test('never more time than there was, however events follow each other', () => {
  const some = fc.record({
    kind: fc.constantFrom<EventKind>('switch', 'here', 'away', 'focus'),
    to: fc.constantFrom('a', 'b', 'c'),
  })
  fc.assert(
    fc.property(fc.array(some), fc.nat(50), fc.nat(200), (list, step, more) => {
      const day = list.map(({ kind, to }, n) => event(n * step, kind, to))
      const until = list.length * step + more
      const spent = Object.values(timeOn(day, 0, until))
      expect(spent.every((time) => time >= 0)).toBe(true)
      expect(spent.reduce((sum, time) => sum + time, 0)).toBeLessThanOrEqual(until)
    }),
  )
})

test('stretches of time and events are told in words', () => {
  expect([0, 41, 125].map(spell)).toEqual(['0 min', '41 min', '2 h 5 min'])
  const state = {
    desktops: { field: { name: 'Field' }, rota: { name: 'Rota' } },
  } as unknown as Parameters<typeof eventInWords>[1]
  const said = (given: Partial<JournalEvent>) =>
    eventInWords({ at: 0, kind: 'send', by: 'key', ...given }, state)
  expect(said({ from: 'rota', to: 'field' })).toBe('sent from Rota to Field, by key')
  expect(said({ kind: 'carry', by: 'pointer', from: 'gone', to: 'every' })).toBe(
    'carried from a folded desktop to every desktop, by pointer',
  )
  expect(said({ kind: 'open', by: 'app', to: 'rota' })).toBe('opened on Rota')
  expect(said({ kind: 'focus', by: 'console' })).toBe('came to the front, from the console')
  expect(said({ kind: 'undo', from: 'field', to: 'rota' })).toBe('undone: on Rota again, by key')
  expect(said({ kind: 'close' })).toBe('closed, by key')
})

test('the share by keyboard counts what was done, by key or by pointer', () => {
  const by = (given: JournalEvent['by'], kind: EventKind): JournalEvent => ({
    at: 1,
    kind,
    by: given,
  })
  const events = [
    by('key', 'switch'),
    by('key', 'send'),
    by('pointer', 'focus'),
    by('app', 'open'),
    by('console', 'switch'),
    by('key', 'here'),
  ]
  expect(shareByKey(events)).toEqual({ byKey: 2, all: 3 })
})

test('an app that is struck is told of nowhere, and where one was stays told', () => {
  const events: JournalEvent[] = [
    { at: 1, kind: 'here', by: 'app', to: 'a', app: 'document' },
    { at: 2, kind: 'open', by: 'key', to: 'a', app: 'table', window: 'w' },
    { at: 3, kind: 'switch', by: 'key', from: 'a', to: 'b', app: 'table', window: 'w' },
    { at: 4, kind: 'asks', by: 'app', to: 'b', app: 'messages', window: 'm' },
    { at: 5, kind: 'seen', by: 'app', window: 'w' },
    { at: 6, kind: 'seen', by: 'app', window: 'm' },
  ]
  const left = withoutApp(events, 'table')
  expect(left).toEqual([
    events[0],
    { at: 2, kind: 'focus', by: 'key', to: 'a' },
    { at: 3, kind: 'switch', by: 'key', from: 'a', to: 'b' },
    events[3],
    events[5],
  ])
  expect(timeOn(left, 0, 10)).toEqual(timeOn(events, 0, 10))
})
