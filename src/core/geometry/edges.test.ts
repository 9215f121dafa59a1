import { moveEdge, type Placed, sharing } from './edges'
import { spanFrame } from './rect'

const AREA = { width: 1208, height: 808 }
const GAP = 8
const LIMITS = { minWidth: 200, minHeight: 120 }
const placed = (id: string, left: number, top: number, right: number, bottom: number): Placed => ({
  id,
  span: { left, top, right, bottom },
  limits: LIMITS,
})

/** One at the left, two one above the other at the right. */
const all = [placed('a', 0, 0, 0.5, 2), placed('b', 1.5, 0, 2, 0.5), placed('c', 1.5, 1.5, 2, 2)]

test('the edge between two moves both, and whoever shares it', () => {
  expect(sharing(all, 'a', 'right').map(({ id }) => id)).toEqual(['a', 'b', 'c'])
  expect(sharing(all, 'b', 'left').map(({ id }) => id)).toEqual(['b', 'c', 'a'])
  expect(sharing(all, 'b', 'bottom').map(({ id }) => id)).toEqual(['b', 'c'])
  expect(sharing(all, 'a', 'left')).toEqual([])
  const moved = moveEdge(all, 'a', 'right', 100, AREA, GAP)
  const frames = ['a', 'b', 'c'].map((id) => {
    const span = moved?.get(id)
    if (!span) throw new Error('It moves')
    return spanFrame(span, AREA, LIMITS, GAP)
  })
  const [a, b, c] = frames
  expect(a?.width).toBe(592 + 100)
  expect(b?.x).toBe((a?.x ?? 0) + (a?.width ?? 0) + GAP)
  expect(c?.x).toBe(b?.x)
})

test('no further than the smallest each can be, and not where nobody shares it', () => {
  const far = moveEdge(all, 'a', 'right', 5000, AREA, GAP)?.get('b')
  expect(far && spanFrame(far, AREA, LIMITS, GAP).width).toBe(200)
  expect(moveEdge(all, 'a', 'left', 50, AREA, GAP)).toBeNull()
  expect(moveEdge(all, 'gone', 'left', 50, AREA, GAP)).toBeNull()
  const narrow = [
    placed('a', 0, 0, 0.5, 2),
    { ...placed('b', 1.5, 0, 2, 2), limits: { minWidth: 900, minHeight: 1 } },
  ]
  expect(moveEdge(narrow, 'a', 'right', 10, AREA, GAP)).toBeNull()
})
