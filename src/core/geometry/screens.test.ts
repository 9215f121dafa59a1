import fc from 'fast-check'
import { onScreen, screenFor } from './screens'

const screen = (availLeft: number, availTop = 0) => ({
  ...{ availLeft, availTop },
  ...{ availWidth: 1600, availHeight: 900 },
})
const [left, middle, right] = [screen(-1600), screen(0), screen(1600)]
const all = [right, middle, left]

test('the page’s display is on the page’s screen, the others from left to right', () => {
  const on = (display: string, own = 'near') =>
    screenFor(display, ['near', 'tall', 'side'], own, all, middle)
  expect(on('near')).toBe(middle)
  expect(on('tall')).toBe(left)
  expect(on('side')).toBe(right)
  // Seen from the page of another display.
  expect(on('tall', 'tall')).toBe(middle)
  expect(on('near', 'tall')).toBe(left)
})

test('with fewer screens than displays what has none is on the page’s', () => {
  const on = (display: string) =>
    screenFor(display, ['near', 'tall', 'side'], 'near', [middle, right], middle)
  expect([on('tall'), on('side'), on('gone')]).toEqual([right, middle, middle])
})

test('what fills a display fills its screen, and what is within stays within', () => {
  const side = fc.integer({ min: 200, max: 4000 })
  fc.assert(
    fc.property(side, side, fc.double({ min: 0, max: 1, noNaN: true }), (width, height, part) => {
      const display = { width, height }
      expect(onScreen(right, display, { x: 0, y: 0, ...display })).toEqual({
        ...{ x: 1600, y: 0, width: 1600, height: 900 },
      })
      const half = onScreen(right, display, { x: part * width, y: 0, width: 0, height })
      expect(half.x).toBeGreaterThanOrEqual(1600)
      expect(half.x).toBeLessThanOrEqual(3200)
    }),
  )
})
