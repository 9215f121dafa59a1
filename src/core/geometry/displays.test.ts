import fc from 'fast-check'
import type { Display } from '@/core/model/kinds/display'
import { across } from './across'
import { atTheRight, closedUp, nudged, snapped, standProblem } from './displays'
import { CAPTION, largeSurface, miniatures } from './surfaces'

const size = fc.record({
  width: fc.integer({ min: 320, max: 4000 }),
  height: fc.integer({ min: 200, max: 3000 }),
})
const rect = fc.tuple(
  size,
  fc.integer({ min: -5000, max: 5000 }),
  fc.integer({ min: -5000, max: 5000 }),
)
const rects = fc.array(
  rect.map(([one, x, y]) => ({ x, y, ...one })),
  { minLength: 1, maxLength: 6 },
)
const near = { x: 0, y: 0, width: 1000, height: 800 }
const tall = { x: 1000, y: 0, width: 500, height: 1200 }

test('displays stand edge to edge: over one another or apart is a problem, with a reason', () => {
  expect(standProblem([near, tall])).toBeNull()
  expect(standProblem([near, { ...tall, x: 900 }])).toBe('They would overlap.')
  expect(standProblem([near, { ...tall, x: 1001 }])).toBe('There would be a gap between them.')
  // Corner to corner one cannot get from one to the other.
  expect(standProblem([near, { ...tall, y: 800 }])).toBe('There would be a gap between them.')
})

test('whatever they are, brought edge to edge they stand well, and stay then', () => {
  fc.assert(
    fc.property(rects, (all) => {
      const once = all.map((one, at) => ({ ...one, ...closedUp(all)[at] }))
      expect(standProblem(once)).toBeNull()
      expect(closedUp(once)).toEqual(once.map(({ x, y }) => ({ x, y })))
    }),
  )
})

test('wherever one is dragged or nudged to, it stands well', () => {
  const to = fc.constantFrom('left', 'right', 'up', 'down') as fc.Arbitrary<'left'>
  fc.assert(
    fc.property(rects, rect, to, (all, [, x, y], direction) => {
      const sound = all.map((one, at) => ({ ...one, ...closedUp(all)[at] }))
      const [one, ...others] = sound
      if (!one || others.length === 0 || standProblem(others)) return
      expect(standProblem([...others, { ...one, ...snapped(one, { x, y }, others) }])).toBeNull()
      const step = nudged(one, direction, others)
      if (step) expect(standProblem([...others, { ...one, ...step }])).toBeNull()
    }),
  )
})

test('an arrow goes along an edge, and round the corner to the next', () => {
  expect(nudged(tall, 'down', [near])).toEqual({ x: 1000, y: 40 })
  expect(nudged(tall, 'left', [near])).toEqual({ x: -500, y: 0 })
  expect(nudged(tall, 'right', [near])).toBeNull()
  expect(atTheRight([near, tall])).toEqual({ x: 1500, y: 0 })
  expect(snapped(tall, { x: 1010, y: 30 }, [near])).toEqual({ x: 1000, y: 0 })
})

const none = { minWidth: 1, minHeight: 1 }

test('on another display the free room stays in proportion, the size where it fits', () => {
  const from = { width: 1000, height: 800 }
  const to = { width: 2000, height: 500 }
  const frame = { x: 200, y: 100, width: 500, height: 400 }
  expect(across(frame, from, to, none)).toEqual({ x: 600, y: 25, width: 500, height: 400 })
  // Too high for it: half of one is half of the other.
  expect(across({ ...frame, height: 600 }, from, to, none)).toMatchObject({ height: 375 })
  expect(across({ x: 0, y: 0, ...from }, from, { width: 500, height: 400 }, none)).toEqual({
    x: 0,
    y: 0,
    width: 500,
    height: 400,
  })
})

test('and it is within reach there, whatever it was', () => {
  fc.assert(
    fc.property(rect, size, size, ([frame, x, y], from, to) => {
      const limits = { minWidth: 160, minHeight: 100 }
      const there = across({ ...frame, x: x % 3000, y: Math.abs(y) % 2000 }, from, to, limits)
      expect(
        Math.min(there.x + there.width, to.width) - Math.max(there.x, 0),
      ).toBeGreaterThanOrEqual(48)
      expect(there.y).toBeLessThanOrEqual(Math.max(0, to.height - 30))
    }),
  )
})

test('the display in the large area fits, miniatures stand in their arrangement, each with its caption', () => {
  expect(
    largeSurface({ width: 900, height: 700, measured: true }, { width: 900, height: 700 }),
  ).toEqual({
    x: 0,
    y: 0,
    scale: 1,
  })
  expect(largeSurface({ width: 1080, height: 1440 }, { width: 900, height: 720 })).toEqual({
    x: 180,
    y: 0,
    scale: 0.5,
  })
  const display = (id: string, x: number, y: number): Display => ({
    id,
    name: id,
    x,
    y,
    width: 1000,
    height: 1000,
    scale: 1,
    connected: true,
  })
  const column = { x: 900, y: 10, width: 100, height: 600 }
  const { a, b, c } = miniatures(
    [display('a', 0, 0), display('b', 1000, 0), display('c', 0, 1000)],
    column,
  )
  expect(a).toEqual({ x: 900, y: 10 + CAPTION, scale: 0.05 })
  expect(b).toEqual({ x: 950, y: 10 + CAPTION, scale: 0.05 })
  expect(c).toEqual({ x: 900, y: 60 + 2 * CAPTION, scale: 0.05 })
  expect(miniatures([], column)).toEqual({})
})
