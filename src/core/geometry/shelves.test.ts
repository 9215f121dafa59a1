import { runs } from '@testing/runs'
import fc from 'fast-check'
import { overlap } from './rect'
import { LABEL, standOnShelves } from './shelves'

const size = fc.record({
  width: fc.integer({ min: 160, max: 2000 }),
  height: fc.integer({ min: 120, max: 1400 }),
})
const rows = fc.array(fc.array(size, { maxLength: 30 }), { minLength: 1, maxLength: 8 })

const room = fc.record({
  width: fc.integer({ min: 500, max: 2000 }),
  height: fc.integer({ min: 300, max: 1600 }),
})

test('miniatures keep their proportions, stand in their row and cover none', () => {
  fc.assert(
    fc.property(rows, room, fc.constantFrom(0, 40, 100, 320), (list, within, size) => {
      const { width } = within
      const given = list.map((windows, row) => ({
        id: `r${row}`,
        windows: windows.map((window, at) => ({ id: `${row}-${at}`, ...window })),
      }))
      const { rows: shelves, places, height } = standOnShelves(given, within, size)
      given.forEach(({ windows }, row) => {
        const shelf = shelves[row]
        if (!shelf) throw new Error('no shelf')
        const drawn = windows.map(({ id }) => {
          const place = places[id]
          if (!place) throw new Error('no place')
          return {
            x: place.x,
            y: place.y,
            width: place.width * place.scale,
            height: place.height * place.scale,
          }
        })
        for (const rect of drawn) {
          expect(rect.x).toBeGreaterThanOrEqual(LABEL)
          expect(rect.x + rect.width).toBeLessThanOrEqual(Math.max(width, LABEL + 128))
          expect(rect.y).toBeGreaterThanOrEqual(shelf.top)
          expect(rect.y + rect.height).toBeLessThanOrEqual(shelf.top + shelf.height)
        }
        drawn.forEach((a, at) => {
          for (const b of drawn.slice(at + 1)) expect(overlap(a, b)).toBe(0)
        })
      })
      expect(height).toBe((shelves.at(-1)?.top ?? 0) + (shelves.at(-1)?.height ?? 0))
    }),
    runs(60),
  )
})

const window = (id: string) => ({ id, width: 540, height: 350 })
const desktops = (count: number, each: number) =>
  Array.from({ length: count }, (_, row) => ({
    id: `r${row}`,
    windows: Array.from({ length: each }, (_, at) => window(`${row}-${at}`)),
  }))

test('few desktops use the room there is, many are as large as all of them fit', () => {
  const large = { width: 1550, height: 990 }
  const six = standOnShelves(desktops(6, 4), large)
  expect(six.height).toBeLessThanOrEqual(990)
  // A size more, and they would not fit.
  expect(standOnShelves(desktops(6, 4), large, six.size + 5).height).toBeGreaterThan(990)
  expect(six.size).toBeGreaterThan(140)
  const twelve = standOnShelves(desktops(12, 4), large)
  expect(twelve.size).toBeLessThan(six.size)
})

test('what does not fit at the least legible size scrolls at that size; empty desktops are thin', () => {
  const small = { width: 700, height: 560 }
  const forty = standOnShelves(desktops(40, 4), small)
  expect(forty.size).toBe(50)
  expect(forty.height).toBeGreaterThan(560)
  const empty = standOnShelves(desktops(12, 0), small)
  expect(empty.height).toBe(12 * 40)
})
