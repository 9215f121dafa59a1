import { runs } from '@testing/runs'
import fc from 'fast-check'
import type { By, EventKind, JournalEvent } from '@/core/journal/events'
import { figuresOf } from './figures'
import { matrixOf, waysOf } from './matrix'
import { apartIn, type Between, bestOrder, EXACT_MOST, stepsOf } from './order'

const happened = fc
  .array(
    fc.record({
      wait: fc.integer({ min: 0, max: 40 }),
      kind: fc.constantFrom<EventKind>('switch', 'focus', 'open', 'send', 'here', 'away', 'close'),
      by: fc.constantFrom<By>('key', 'pointer', 'app'),
      to: fc.constantFrom('a', 'b', 'c'),
      from: fc.constantFrom('a', 'b', 'c', 'gone'),
      app: fc.option(fc.constantFrom('document', 'table'), { nil: undefined }),
    }),
    { maxLength: 60 },
  )
  .map((all): JournalEvent[] => {
    let at = 1000
    return all.map(({ wait, app, ...event }) => {
      at += wait
      return { ...event, at, ...(app && { app }) }
    })
  })

/** Each millisecond by itself: where one was, and which app had the keys. */
function byMillisecond(events: JournalEvent[], from: number, until: number) {
  const desktops: Record<string, number> = {}
  const apps: Record<string, number> = {}
  for (let now = from; now < until; now++) {
    const before = events.filter(({ at }) => at <= now)
    const next = events.slice(before.length)
    // Shut without a word: before it was opened again nothing is known beyond the last event.
    const isLost = before.length > 0 && next[0]?.kind === 'here'
    const on = before.findLast(({ kind }) => ['switch', 'here', 'away'].includes(kind))
    const had = before.findLast(({ kind }) =>
      ['focus', 'open', 'switch', 'here', 'away'].includes(kind),
    )
    if (isLost) continue
    if (on?.to && on.kind !== 'away') desktops[on.to] = (desktops[on.to] ?? 0) + 1
    if (had?.app && had.kind !== 'away') apps[had.app] = (apps[had.app] ?? 0) + 1
  }
  return { desktops, apps }
}

test('every figure equals a count of each millisecond by itself', () => {
  fc.assert(
    fc.property(
      happened,
      fc.integer({ min: 900, max: 1500 }),
      fc.nat(1200),
      (events, from, span) => {
        const until = from + span
        const figures = figuresOf(events, from, until)
        const counted = byMillisecond(events, from, until)
        const table = (all: { id: string; time: number }[]) =>
          Object.fromEntries(all.map(({ id, time }) => [id, time]))
        expect(table(figures.desktops)).toEqual(counted.desktops)
        expect(table(figures.apps)).toEqual(counted.apps)
        expect(figures.present).toBe(
          Object.values(counted.desktops).reduce((sum, time) => sum + time, 0),
        )
        const within = events.filter(
          ({ at, kind }) => kind === 'switch' && at >= from && at < until,
        )
        expect(figures.switches).toBe(within.length)
        for (const { time } of figures.desktops.slice(0, 1))
          expect((figures.longest?.end ?? 0) - (figures.longest?.start ?? 0)).toBeLessThanOrEqual(
            time,
          )
      },
    ),
    runs(300),
  )
})

test('the matrix counts each switch once, desktops as they stand, those that are gone last', () => {
  fc.assert(
    fc.property(happened, (events) => {
      const { desktops, counts } = matrixOf(events, ['c', 'a', 'b'])
      expect(desktops.filter((id) => id !== 'gone')).toEqual(
        ['c', 'a', 'b'].filter((id) => desktops.includes(id)),
      )
      for (const [row, from] of desktops.entries())
        for (const [column, to] of desktops.entries())
          expect(counts[row]?.[column]).toBe(
            from === to
              ? 0
              : events.filter((one) => one.kind === 'switch' && one.from === from && one.to === to)
                  .length,
          )
      const all = counts.flat().reduce((sum, count) => sum + count, 0)
      expect(waysOf({ desktops, counts }).reduce((sum, { count }) => sum + count, 0)).toBe(all)
    }),
    runs(300),
  )
})

const square = (most: number, least = 2) =>
  fc.integer({ min: least, max: most }).chain((count) =>
    fc.array(fc.array(fc.nat(9), { minLength: count, maxLength: count }), {
      minLength: count,
      maxLength: count,
    }),
  )

function* orders(left: number[]): Generator<number[]> {
  if (left.length === 0) yield []
  for (const one of left)
    for (const rest of orders(left.filter((other) => other !== one))) yield [one, ...rest]
}

const LINE = { columns: 1, wrap: false, wrapRows: false }
const RING = { ...LINE, wrap: true }

test('places are as far apart as the keys for neighbours go', () => {
  expect(apartIn(4, LINE)[0]).toEqual([0, 1, 2, 3])
  expect(apartIn(5, RING)[0]).toEqual([0, 1, 2, 2, 1])
  // Three in a row, and two below: 0 1 2 / 3 4.
  expect(apartIn(5, { ...LINE, columns: 3 })[0]).toEqual([0, 1, 2, 1, 2])
  expect(apartIn(5, { columns: 3, wrap: true, wrapRows: true })[2]).toEqual([1, 1, 0, 2, 2])
})

test('up to twelve in a line the order is the best of all there are', () => {
  const steps = (between: Between, order: number[]) =>
    stepsOf(between, order, apartIn(between.length, LINE))
  fc.assert(
    fc.property(square(6), (between) => {
      const found = bestOrder(between, LINE)
      let least = Number.POSITIVE_INFINITY
      for (const order of orders([...between.keys()]))
        least = Math.min(least, steps(between, order))
      expect(found.toSorted((a, b) => a - b)).toEqual([...between.keys()])
      expect(steps(between, found)).toBe(least)
    }),
    runs(60),
  )
  const eight = fc.sample(square(8, 8), { numRuns: 1, seed: 7 })[0] ?? []
  const all = [...orders([...eight.keys()])].map((order) => steps(eight, order))
  expect(steps(eight, bestOrder(eight, LINE))).toBe(Math.min(...all))
})

test('where desktops go round, or stand in rows, the best is found nearly always', () => {
  const layouts = fc.constantFrom(
    RING,
    { ...LINE, columns: 2 },
    { columns: 3, wrap: true, wrapRows: true },
    { columns: 2, wrap: false, wrapRows: true },
  )
  let all = 0
  let best = 0
  fc.assert(
    fc.property(square(6), layouts, (between, layout) => {
      const apart = apartIn(between.length, layout)
      const found = stepsOf(between, bestOrder(between, layout), apart)
      let least = Number.POSITIVE_INFINITY
      for (const order of orders([...between.keys()]))
        least = Math.min(least, stepsOf(between, order, apart))
      all++
      if (found === least) best++
      expect(found).toBeLessThanOrEqual(stepsOf(between, [...between.keys()], apart))
    }),
    runs(60),
  )
  expect(best / all).toBeGreaterThan(0.95)
})

test('beyond that it is never worse than the one there is, and the same each time', () => {
  fc.assert(
    fc.property(square(40, EXACT_MOST + 1), fc.constantFrom(LINE, RING), (between, layout) => {
      const found = bestOrder(between, layout)
      const apart = apartIn(between.length, layout)
      expect(found.toSorted((a, b) => a - b)).toEqual([...between.keys()])
      expect(stepsOf(between, found, apart)).toBeLessThanOrEqual(
        stepsOf(between, [...between.keys()], apart),
      )
      expect(bestOrder(between, layout)).toEqual(found)
    }),
    runs(4),
  )
})

test('a line that was shuffled is found again among forty', () => {
  const count = 40
  const shuffled = Array.from({ length: count }, (_, at) => (at * 17) % count)
  const between = shuffled.map((one) =>
    shuffled.map((other) => (Math.abs(one - other) === 1 ? 5 : 0)),
  )
  const least = (count - 1) * 10
  const found = bestOrder(between, LINE)
  expect(stepsOf(between, found, apartIn(count, LINE))).toBeLessThanOrEqual(least * 1.5)
})
