import { seeded } from '@/core/insight/seeded'
import type { By, JournalEvent } from '@/core/journal/events'
import { atMinute, dayOf } from '@/core/plan/plan'

/**
 * The five working days before today, 06:30 to 17:00, about 140 switches each: much to and fro between
 * Field and Bulletin and between Model and Bulletin. The same each time.
 */

/** How often one goes on from each desktop to the others. */
const GOES: Record<string, [to: string, weight: number][]> = {
  field: [
    ['bulletin', 12],
    ['public', 2],
    ['model', 2],
    ['rota', 1],
  ],
  bulletin: [
    ['field', 10],
    ['model', 10],
    ['public', 2],
    ['breather', 1],
  ],
  model: [
    ['bulletin', 12],
    ['field', 2],
    ['breather', 1],
  ],
  public: [
    ['bulletin', 4],
    ['rota', 3],
    ['field', 2],
  ],
  rota: [
    ['public', 3],
    ['field', 2],
    ['bulletin', 1],
  ],
  breather: [
    ['model', 2],
    ['bulletin', 2],
  ],
}

/** The app that has the keys on each, mostly. */
const APPS: Record<string, string[]> = {
  field: ['table', 'document', 'reader'],
  model: ['table', 'job', 'document'],
  bulletin: ['document', 'document', 'reader'],
  public: ['messages', 'messages', 'table'],
  rota: ['table', 'document'],
  breather: ['reader', 'player'],
}

/** What is opened where, and how likely with each visit. */
const OPENS: [app: string, where: string | null, chance: number][] = [
  ['reader', 'bulletin', 0.05],
  ['web', 'field', 0.12],
  ['document', null, 0.02],
]

const MINUTE = 60_000
const DAYS = 5

/**
 * The working days before today, each by its midnight.
 * @param now milliseconds since 1970; so is what is returned
 */
export function workingDays(now: number): number[] {
  const days: number[] = []
  for (let back = 1; days.length < DAYS; back++) {
    const midnight = atMinute(dayOf(now), -back * 24 * 60 + 12 * 60)
    if (![0, 6].includes(new Date(midnight).getDay())) days.unshift(dayOf(midnight))
  }
  return days
}

/** @param now milliseconds since 1970 */
export const lastDays = (now: number): JournalEvent[] =>
  workingDays(now).flatMap((midnight, nth) => dayFrom(midnight, nth + 1))

function dayFrom(midnight: number, seed: number): JournalEvent[] {
  const random = seeded(seed)
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const [from, noon, back, until] = [6.5, 12, 12.6, 17].map((hour) =>
    atMinute(midnight, hour * 60),
  ) as [number, number, number, number]
  const events: JournalEvent[] = [{ at: from, kind: 'here', by: 'app', to: 'field', app: 'table' }]
  const add = (at: number, kind: JournalEvent['kind'], by: By, more: Partial<JournalEvent> = {}) =>
    events.push({ at, kind, by, ...more })
  let on = 'field'
  let at = from
  let away = false
  for (;;) {
    // Mostly a glance and back, now and then half an hour.
    at += Math.round((random() < 0.12 ? 8 + random() * 22 : 0.6 + random() * 4.2) * MINUTE)
    if (at >= until) break
    if (!away && at >= noon) {
      add(noon, 'away', 'app')
      add(back, 'here', 'app', { to: on, app: one(APPS[on] ?? []) })
      at = back
      away = true
      continue
    }
    const by = random() < 0.86 ? 'key' : 'pointer'
    const to = weighed(GOES[on] ?? [], random)
    add(at, 'switch', by, { from: on, to, app: one(APPS[to] ?? []) })
    on = to
    if (random() < 0.35)
      add(at + 20_000, 'focus', random() < 0.7 ? 'key' : 'pointer', {
        to,
        app: one(APPS[to] ?? []),
      })
    // A reader beside the bulletin, a web page in the field; documents anywhere.
    for (const [app, where, chance] of OPENS)
      if ((where === null || where === to) && random() < chance)
        add(at + 30_000, 'open', 'key', { app, to })
    const room = at + 10 * MINUTE < until && (away || at + 10 * MINUTE < noon)
    if (random() < 0.04 && on !== 'public' && room) {
      add(at + 25_000, 'asks', 'app', { app: 'messages', to: 'public' })
      // Mostly one goes there at once, and is back some minutes later.
      if (random() < 0.7) {
        add(at + 40_000, 'switch', 'key', { from: on, to: 'public', app: 'messages' })
        at += Math.round((1.5 + random() * 5) * MINUTE)
        add(at, 'switch', 'key', { from: 'public', to: on, app: one(APPS[on] ?? []) })
      }
    }
  }
  add(until, 'away', 'app')
  return events.sort((a, b) => a.at - b.at)
}

function weighed(ways: readonly [string, number][], random: () => number): string {
  let left = random() * ways.reduce((sum, [, weight]) => sum + weight, 0)
  for (const [to, weight] of ways) {
    left -= weight
    if (left < 0) return to
  }
  return ways[0]?.[0] ?? 'field'
}
