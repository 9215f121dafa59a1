import fc from 'fast-check'
import { overlap } from './rect'
import { LABEL, standOnShelves } from './shelves'

const size = fc.record({
  width: fc.integer({ min: 160, max: 2000 }),
  height: fc.integer({ min: 120, max: 1400 }),
})
const rows = fc.array(fc.array(size, { maxLength: 30 }), { minLength: 1, maxLength: 8 })

test('miniatures keep their proportions, stand in their row and cover none', () => {
  fc.assert(
    fc.property(rows, fc.integer({ min: 500, max: 2000 }), (list, width) => {
      const given = list.map((windows, row) => ({
        id: `r${row}`,
        windows: windows.map((window, at) => ({ id: `${row}-${at}`, ...window })),
      }))
      const { rows: shelves, places, height } = standOnShelves(given, width)
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
    { numRuns: 60 },
  )
})
