import { runs } from '@testing/runs'
import fc from 'fast-check'
import { nearest } from './direction'
import { placeNew } from './placing'
import { limited, movedIn, overlap, type Rect, reachable, spanFrame } from './rect'

const AREA = { width: 1000, height: 700 }
const rect = fc.record({
  x: fc.integer({ min: -200, max: 1100 }),
  y: fc.integer({ min: 0, max: 690 }),
  width: fc.integer({ min: 100, max: 900 }),
  height: fc.integer({ min: 80, max: 700 }),
})

test('overlap is the shared area, and nothing for rectangles that only touch', () => {
  const a = { x: 0, y: 0, width: 10, height: 10 }
  expect(overlap(a, { x: 5, y: 8, width: 10, height: 10 })).toBe(10)
  expect(overlap(a, { x: 10, y: 0, width: 10, height: 10 })).toBe(0)
})

test('limits hold, the smallest size before the largest', () => {
  const limits = { minWidth: 200, minHeight: 100, maxWidth: 150, maxHeight: 300 }
  expect(limited({ width: 10, height: 900 }, limits)).toEqual({ width: 200, height: 300 })
})

test('48 px of the hem stay within any area', () => {
  fc.assert(
    fc.property(rect, (frame) => {
      const { x, y, width } = reachable(frame, AREA)
      expect(Math.min(x + width, AREA.width) - Math.max(x, 0)).toBeGreaterThanOrEqual(48)
      expect(y).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThanOrEqual(AREA.height - 30)
    }),
  )
})

test('placed windows fill their part of the pad without overlapping', () => {
  const none = { minWidth: 1, minHeight: 1 }
  const left = spanFrame({ top: 0, left: 0, bottom: 2, right: 1 }, AREA, none, 8)
  const right = spanFrame({ top: 0, left: 2, bottom: 2, right: 2 }, AREA, none, 8)
  expect(left.x).toBe(8)
  expect(right.x - (left.x + left.width)).toBe(8)
  expect(right.x + right.width).toBeLessThanOrEqual(AREA.width - 8)
  expect(left.height).toBe(AREA.height - 16)
})

/** The least area any position covers, by trying a fine raster. */
function leastCovered(size: { width: number; height: number }, frames: Rect[]): number {
  let least = Number.POSITIVE_INFINITY
  for (let y = 0; y <= AREA.height - size.height; y += 20)
    for (let x = 0; x <= AREA.width - size.width; x += 20)
      least = Math.min(
        least,
        frames.reduce((sum, frame) => sum + overlap({ x, y, ...size }, frame), 0),
      )
  return least
}

test('a new window covers no more than any position on a raster would', () => {
  const size = { width: 320, height: 240 }
  fc.assert(
    fc.property(fc.array(rect, { maxLength: 6 }), (frames) => {
      const at = placeNew(size, AREA, frames, 0)
      const covered = frames.reduce((sum, frame) => sum + overlap({ ...at, ...size }, frame), 0)
      const least = leastCovered(size, frames)
      // Where everything is covered it cascades instead, which may cover more.
      if (least < size.width * size.height) expect(covered).toBeLessThanOrEqual(least)
    }),
    runs(60),
  )
})

test('ties go to the top-left, and a covered area is cascaded over', () => {
  expect(placeNew({ width: 300, height: 200 }, AREA, [], 0)).toEqual({ x: 0, y: 0 })
  const corner = { x: 0, y: 0, width: 300, height: 200 }
  expect(placeNew({ width: 300, height: 200 }, AREA, [corner], 0)).toEqual({ x: 300, y: 0 })
  const whole = { x: 0, y: 0, ...AREA }
  const first = { x: 0, y: 0, width: 300, height: 200 }
  expect(placeNew({ width: 300, height: 200 }, AREA, [first, whole], 0)).not.toEqual({ x: 0, y: 0 })
  const covered = [{ x: 40, y: 60, ...AREA }, whole]
  expect(placeNew({ width: 300, height: 200 }, AREA, covered, 0)).toEqual({ x: 68, y: 88 })
})

test('new windows keep the gap from edges and from one another as long as there is room', () => {
  const size = { width: 300, height: 200 }
  const frames: Rect[] = []
  for (let count = 0; count < 9; count++)
    frames.unshift({ ...placeNew(size, AREA, frames, 8), ...size })
  for (const [at, one] of frames.entries()) {
    expect(one.x).toBeGreaterThanOrEqual(8)
    expect(one.y).toBeGreaterThanOrEqual(8)
    expect(one.x + one.width).toBeLessThanOrEqual(AREA.width - 8)
    expect(one.y + one.height).toBeLessThanOrEqual(AREA.height - 8)
    for (const other of frames.slice(at + 1))
      expect(
        overlap(
          { ...one, width: one.width + 8, height: one.height + 8 },
          {
            ...other,
            width: other.width + 8,
            height: other.height + 8,
          },
        ),
      ).toBe(0)
  }
  // As large as the area it is not beyond it.
  expect(placeNew({ width: 998, height: 700 }, AREA, [], 8)).toEqual({ x: 2, y: 0 })
})

test('the nearest in a direction: distance along and twice the offset across, within 60°', () => {
  const at = (x: number, y: number): Rect => ({ x: x - 50, y: y - 50, width: 100, height: 100 })
  const from = at(0, 0)
  expect(nearest(from, [at(400, 0), at(200, 150), at(-100, 0)], 'right')).toBe(0)
  expect(nearest(from, [at(400, 0), at(200, 90)], 'right')).toBe(1)
  expect(nearest(from, [at(100, 180)], 'right')).toBeNull()
  expect(nearest(from, [at(100, 180)], 'down')).toBe(0)
  expect(nearest(from, [at(0, -10), at(0, 10)], 'up')).toBe(0)
  expect(nearest(from, [at(0, 0)], 'left')).toBeNull()
})

test('a frame that stood within its room does so in a smaller one where it fits, and nothing else moves', () => {
  const size = (least: number) =>
    fc.record({
      width: fc.integer({ min: least, max: 2000 }),
      height: fc.integer({ min: least, max: 2000 }),
    })
  const rect = fc.tuple(
    size(50),
    fc.integer({ min: -100, max: 2000 }),
    fc.integer({ max: 2000, min: 0 }),
  )
  fc.assert(
    fc.property(rect, size(300), size(300), ([dimensions, x, y], made, area) => {
      const frame = { ...dimensions, x, y }
      const moved = movedIn(frame, made, area)
      expect(movedIn(frame, undefined, area)).toEqual(frame)
      expect(movedIn(frame, made, made)).toEqual(frame)
      for (const [start, length] of [
        ['x', 'width'],
        ['y', 'height'],
      ] as const) {
        const within = frame[start] >= 0 && frame[start] + frame[length] <= made[length]
        if (within && frame[length] <= area[length]) {
          expect(moved[start]).toBeGreaterThanOrEqual(0)
          expect(moved[start] + moved[length]).toBeLessThanOrEqual(area[length])
        } else expect(moved[start]).toBe(frame[start])
      }
    }),
    runs(500),
  )
})
