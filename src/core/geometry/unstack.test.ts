import { runs } from '@testing/runs'
import fc from 'fast-check'
import { overlap, type Size } from './rect'
import { hints, readingOrder, UNSTACK_CAPTION, UNSTACK_GAP, unstack } from './unstack'

const AREA = { width: 1072, height: 764 }
const size = fc.record({
  width: fc.integer({ min: 160, max: 1400 }),
  height: fc.integer({ min: 120, max: 1000 }),
})
const sizes = (most: number) => fc.array(size, { minLength: 1, maxLength: most })

/** The largest scale at which one partition into rows fits, straight from the definition. */
function scaleOf(rows: Size[][]): number {
  const across = rows.map((row) => {
    const width = row.reduce((sum, one) => sum + one.width, 0)
    return (AREA.width - UNSTACK_GAP * (row.length + 1)) / width
  })
  const height = rows.reduce((sum, row) => sum + Math.max(...row.map((one) => one.height)), 0)
  const down = (AREA.height - UNSTACK_GAP - rows.length * (UNSTACK_CAPTION + UNSTACK_GAP)) / height
  return Math.min(1, down, ...across)
}

/** The best over all partitions into consecutive rows, by trying each. */
function best(list: Size[]): number {
  let most = 0
  for (let cuts = 0; cuts < 2 ** (list.length - 1); cuts++) {
    const rows: Size[][] = [[]]
    list.forEach((one, at) => {
      if (at > 0 && cuts & (1 << (at - 1))) rows.push([])
      rows.at(-1)?.push(one)
    })
    most = Math.max(most, scaleOf(rows))
  }
  return most
}

test('the scale is within 1 % of the best over all row partitions', () => {
  fc.assert(
    fc.property(sizes(9), (list) => {
      const { scale } = unstack(list, AREA)
      const most = best(list)
      expect(scale).toBeLessThanOrEqual(most + 1e-9)
      expect(scale).toBeGreaterThanOrEqual(most * 0.99)
    }),
    runs(150),
  )
})

test('up to 60 windows: one scale, nothing overlaps or leaves the area, in reading order', () => {
  fc.assert(
    fc.property(sizes(60), (list) => {
      const { scale, places } = unstack(list, AREA)
      expect(scale).toBeGreaterThan(0)
      expect(scale).toBeLessThanOrEqual(1)
      const rects = list.map(({ width, height }, at) => ({
        x: places[at]?.x ?? -1,
        y: places[at]?.y ?? -1,
        width: width * scale,
        height: height * scale + UNSTACK_CAPTION,
      }))
      rects.forEach((rect, at) => {
        expect(rect.x).toBeGreaterThanOrEqual(0)
        expect(rect.y).toBeGreaterThanOrEqual(0)
        expect(rect.x + rect.width).toBeLessThanOrEqual(AREA.width + 1e-6)
        expect(rect.y + rect.height).toBeLessThanOrEqual(AREA.height + 1e-6)
        for (const other of rects.slice(at + 1)) expect(overlap(rect, other)).toBeLessThan(1e-6)
        const next = rects[at + 1]
        if (next) expect(next.y > rect.y + 1e-6 || next.x > rect.x).toBe(true)
      })
    }),
    runs(80),
  )
})

test('reading order goes by bands from the top-left', () => {
  const at = (x: number, y: number) => ({ x, y, width: 100, height: 100 })
  expect(readingOrder([at(300, 10), at(0, 30), at(0, 200), at(150, 0)])).toEqual([1, 3, 0, 2])
})

test('hints are distinct, and none begins another', () => {
  for (const count of [1, 5, 26, 27, 30, 60, 240, 676]) {
    const given = hints(count)
    expect(new Set(given).size).toBe(count)
    for (const one of given)
      expect(given.filter((other) => other !== one && other.startsWith(one))).toEqual([])
  }
})

test('one letter picks most windows, however many there are', () => {
  const single = (count: number) => hints(count).filter(({ length }) => length === 1).length
  expect(single(26)).toBe(26)
  expect(single(27)).toBe(25)
  expect(single(51)).toBe(25)
  expect(single(52)).toBe(24)
})
