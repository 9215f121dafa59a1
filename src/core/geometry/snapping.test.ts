import { beside } from './beside'
import { overlap } from './rect'
import { snap } from './snapping'

const AREA = { width: 1000, height: 700 }
const frame = { x: 300, y: 200, width: 200, height: 100 }

test('edges within 8 px go to the edges of others and of the display, others leave it free', () => {
  const other = { x: 505, y: 190, width: 200, height: 300 }
  expect(snap(frame, [other], AREA, 0)).toEqual({ x: 305, y: 200, guideX: 505, guideY: null })
  expect(snap({ ...frame, x: 296 }, [other], AREA, 0).guideX).toBeNull()
  expect(snap({ ...frame, x: -6, y: 5 }, [], AREA, 0)).toMatchObject({ x: 0, y: 0 })
  expect(snap({ ...frame, x: 795 }, [], AREA, 0)).toMatchObject({ x: 800, guideX: 1000 })
  // A gap away from an edge is as good.
  expect(snap({ ...frame, x: 290 }, [other], AREA, 16).x).toBe(289)
  // What is far away across is not lined up with.
  expect(snap({ ...frame, x: 510 }, [{ ...other, y: 500 }], AREA, 0).guideX).toBeNull()
})

test('a card stands clear of what it is about, wherever there is room', () => {
  const card = { width: 200, height: 300 }
  for (const x of [0, 200, 600])
    for (const y of [0, 300])
      expect(
        overlap({ ...beside({ ...frame, x, y }, card, AREA), ...card }, { ...frame, x, y }),
      ).toBe(0)
  // Over a window that fills all it still lies within.
  const whole = beside({ x: 0, y: 0, ...AREA }, card, AREA)
  expect(whole.x).toBeGreaterThanOrEqual(0)
  expect(whole.y + card.height).toBeLessThanOrEqual(AREA.height)
})
