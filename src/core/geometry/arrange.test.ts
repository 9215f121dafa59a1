import { arranged, LAYOUTS } from './arrange'
import { overlap, spanFrame } from './rect'

const AREA = { width: 1200, height: 800 }
const ANY = { minWidth: 1, minHeight: 1 }
const GAP = 8

test('whatever the layout and the number, none covers another and nothing but gaps is left over', () => {
  for (const layout of LAYOUTS)
    for (let count = 1; count <= 14; count++) {
      const frames = arranged(layout, count).map((span) => spanFrame(span, AREA, ANY, GAP))
      expect(frames).toHaveLength(count)
      frames.forEach((frame, at) => {
        for (const other of frames.slice(at + 1)) expect(overlap(frame, other)).toBe(0)
        expect(frame.x).toBeGreaterThanOrEqual(GAP)
        expect(frame.x + frame.width).toBeLessThanOrEqual(AREA.width - GAP + 1)
        expect(frame.y + frame.height).toBeLessThanOrEqual(AREA.height - GAP + 1)
      })
      const covered = frames.reduce(
        (sum, { width, height }) => sum + (width + GAP) * (height + GAP),
        0,
      )
      const whole = (AREA.width - GAP) * (AREA.height - GAP)
      expect(Math.abs(covered / whole - 1)).toBeLessThan(0.01)
    }
})

test('each layout is what it is called', () => {
  const frames = (layout: (typeof LAYOUTS)[number], count: number) =>
    arranged(layout, count).map((span) => spanFrame(span, AREA, ANY, 0))
  expect(frames('columns', 4).map(({ x }) => x)).toEqual([0, 300, 600, 900])
  expect(frames('rows', 4).map(({ y }) => y)).toEqual([0, 200, 400, 600])
  const [large, ...rest] = frames('large', 3)
  expect(large).toEqual({ x: 0, y: 0, width: 800, height: 800 })
  expect(rest.map(({ x, y }) => [x, y])).toEqual([
    [800, 0],
    [800, 400],
  ])
  expect(
    frames('cells', 9).filter(({ width, height }) => width === 400 && height > 260),
  ).toHaveLength(9)
  // A row that is not full shares its width.
  expect(
    frames('cells', 5)
      .slice(3)
      .map(({ width }) => width),
  ).toEqual([600, 600])
  expect(new Set(frames('cells', 16).map(({ x }) => x)).size).toBe(4)
})
