import { runs } from '@testing/runs'
import fc from 'fast-check'
import type { JournalEvent } from '@/core/journal/events'
import { byApp, interruptionsOf } from './interruptions'

const MINUTE = 60_000
const event = (minute: number, kind: JournalEvent['kind'], more: Partial<JournalEvent> = {}) =>
  ({ at: minute * MINUTE, kind, by: 'key', ...more }) as JournalEvent
const asks = (minute: number, app: string, to: string) =>
  event(minute, 'asks', { by: 'app', app, to })
const goes = (minute: number, from: string, to: string) => event(minute, 'switch', { from, to })

test('who goes where something asked within two minutes was interrupted, until back', () => {
  const found = interruptionsOf([
    asks(1, 'messages', 'public'),
    goes(2, 'field', 'public'),
    goes(7, 'public', 'field'),
    // Too late to be because of it; and by itself, as a plan goes.
    asks(10, 'messages', 'public'),
    goes(13, 'field', 'public'),
    goes(14, 'public', 'field'),
    asks(20, 'job', 'model'),
    { ...goes(21, 'field', 'model'), by: 'app' },
    // On a way round; and never.
    asks(30, 'job', 'model'),
    goes(31, 'field', 'model'),
    goes(33, 'model', 'rota'),
    goes(36, 'rota', 'field'),
    asks(40, 'job', 'model'),
    goes(41, 'field', 'model'),
    event(50, 'away'),
    event(60, 'here', { to: 'field' }),
    goes(61, 'field', 'model'),
    goes(62, 'model', 'field'),
  ])
  expect(found).toEqual([
    { app: 'messages', from: 'field', at: 2 * MINUTE, back: 5 * MINUTE },
    { app: 'job', from: 'field', at: 31 * MINUTE, back: 5 * MINUTE },
    { app: 'job', from: 'field', at: 41 * MINUTE, back: null },
  ])
  expect(byApp(found)).toEqual([
    { app: 'job', times: 2, returned: 1, back: 5 * MINUTE },
    { app: 'messages', times: 1, returned: 1, back: 5 * MINUTE },
  ])
})

test('each is what one finds by looking from every switch back and on', () => {
  const step = fc.record({
    wait: fc.integer({ min: 0, max: 100 }),
    kind: fc.constantFrom('asks', 'switch'),
    to: fc.constantFrom('a', 'b', 'c'),
  })
  fc.assert(
    fc.property(fc.array(step, { maxLength: 50 }), (steps) => {
      const events: JournalEvent[] = []
      let at = 0
      let on = 'a'
      for (const { wait, kind, to } of steps) {
        at += wait * 1000
        if (kind === 'asks') events.push({ at, kind: 'asks', by: 'app', app: 'x', to })
        else if (to !== on) {
          events.push({ at, kind: 'switch', by: 'key', from: on, to })
          on = to
        }
      }
      const found = interruptionsOf(events)
      for (const one of found) {
        const left = events.findIndex(
          (e) => e.kind === 'switch' && e.at === one.at && e.from === one.from,
        )
        const to = events[left]?.to
        const cause = events
          .slice(0, left)
          .some((e) => e.kind === 'asks' && e.to === to && one.at - e.at <= 120_000)
        expect(cause).toBe(true)
        const back = events.slice(left + 1).find((e) => e.kind === 'switch' && e.to === one.from)
        expect(one.back).toBe(back && back.at - one.at <= 3_600_000 ? back.at - one.at : null)
      }
      // Never more than there were askings.
      expect(found.length).toBeLessThanOrEqual(events.filter(({ kind }) => kind === 'asks').length)
    }),
    runs(300),
  )
})
