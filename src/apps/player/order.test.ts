import fc from 'fast-check'
import { beside, moved, placeAfter, playOrder } from './order'

test('mixed or not, each tune comes once in a round, forwards and back', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }),
      fc.option(fc.nat(), { nil: undefined }),
      (count, seed) => {
        expect(playOrder(count, seed).toSorted((a, b) => a - b)).toEqual([...Array(count).keys()])
        const round = new Set<number>()
        let tune = 0
        for (let step = 0; step < count; step++) {
          round.add(tune)
          const next = beside(tune, 1, count, seed)
          expect(beside(next, -1, count, seed)).toBe(tune)
          tune = next
        }
        expect(round.size).toBe(count)
        expect(tune).toBe(0)
      },
    ),
  )
})

test('as they are listed without a seed; mixed the same for the same seed', () => {
  expect(playOrder(4, undefined)).toEqual([0, 1, 2, 3])
  expect(playOrder(20, 7)).toEqual(playOrder(20, 7))
  expect(playOrder(20, 7)).not.toEqual(playOrder(20, 8))
})

test('what is moved stands at its new place, and everything else is known where it stands', () => {
  const list = ['a', 'b', 'c', 'd', 'e']
  for (const from of list.keys())
    for (const to of list.keys()) {
      const next = moved(list, from, to)
      expect(next[to]).toBe(list[from])
      expect([...next].sort()).toEqual(list)
      for (const [at, one] of list.entries()) expect(next[placeAfter(at, from, to)]).toBe(one)
    }
})
