import fc from 'fast-check'
import { covered } from './covered'
import type { Rect } from './rect'

const CUT = 14
/** Whether a window shows at a point: not where its corner is cut, seen as a square. */
const fills = ({ x, y, width, height }: Rect, px: number, py: number) =>
  px >= x &&
  px < x + width &&
  py >= y &&
  py < y + height &&
  !(px >= x + width - CUT && py < y + CUT)

const frame = fc.record({
  x: fc.integer({ min: 0, max: 40 }),
  y: fc.integer({ min: 0, max: 40 }),
  width: fc.integer({ min: 20, max: 60 }),
  height: fc.integer({ min: 20, max: 60 }),
})

test('a window counts as covered where none of its points shows, and only there', () => {
  let found = 0
  fc.assert(
    fc.property(fc.array(frame, { minLength: 2, maxLength: 6 }), (frames) => {
      const expected = frames.map((one, at) => {
        for (let x = one.x; x < one.x + one.width; x++)
          for (let y = one.y; y < one.y + one.height; y++)
            if (fills(one, x, y) && !frames.slice(at + 1).some((above) => fills(above, x, y)))
              return false
        return true
      })
      found += expected.filter(Boolean).length
      expect(covered(frames)).toEqual(expected)
    }),
  )
  expect(found).toBeGreaterThan(0)
})

test('one maximised window hides another; where its corner is cut, what is behind two shows', () => {
  const large = { x: 0, y: 0, width: 800, height: 600 }
  expect(covered([large, large])).toEqual([true, false])
  const behind = { x: 700, y: 0, width: 200, height: 600 }
  const right = { x: 800, y: 0, width: 200, height: 600 }
  expect(covered([behind, large, right])).toEqual([false, false, false])
  const lower = { ...behind, y: CUT, height: 500 }
  expect(covered([lower, large, right])).toEqual([true, false, false])
})

test('the uppermost is never covered', () => {
  expect(covered([])).toEqual([])
  expect(covered([{ x: 0, y: 0, width: 100, height: 100 }])).toEqual([false])
})
