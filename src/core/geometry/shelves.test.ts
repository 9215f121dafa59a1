import { runs } from '@testing/runs'
import fc from 'fast-check'
import { overlap } from './rect'
import { standOnShelves } from './shelves'

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
        expect(shelf.left + shelf.width).toBeLessThanOrEqual(width)
        const drawn = windows.map(({ id, width, height }) => {
          const place = places[id]
          if (!place) throw new Error('no place')
          expect([place.width, place.height]).toEqual([width, height])
          expect(place.caption).toBeGreaterThanOrEqual(width * place.scale)
          expect(place.x + (place.caption ?? 0)).toBeLessThanOrEqual(shelf.left + shelf.width + 1)
          return {
            x: place.x,
            y: place.y,
            width: place.width * place.scale,
            height: place.height * place.scale,
          }
        })
        for (const rect of drawn) {
          expect(rect.x).toBeGreaterThanOrEqual(shelf.left)
          expect(rect.x + rect.width).toBeLessThanOrEqual(shelf.left + shelf.width)
          expect(rect.y).toBeGreaterThanOrEqual(shelf.top)
          expect(rect.y + rect.height).toBeLessThanOrEqual(shelf.top + shelf.height)
        }
        drawn.forEach((a, at) => {
          for (const b of drawn.slice(at + 1)) expect(overlap(a, b)).toBe(0)
        })
      })
      // One column after the other, each from the top, none over another.
      shelves.slice(1).forEach((shelf, at) => {
        const before = shelves[at]
        if (before && shelf.left === before.left) expect(shelf.top).toBe(before.top + before.height)
        else expect([shelf.top, shelf.left > (before?.left ?? 0)]).toEqual([0, true])
      })
      expect(height).toBe(Math.max(...shelves.map((one) => one.top + one.height)))
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

/** The median width of what is drawn. */
const median = ({ places }: ReturnType<typeof standOnShelves>): number => {
  const widths = Object.values(places).map(({ width, scale }) => width * scale)
  return widths.sort((a, b) => a - b)[Math.floor(widths.length / 2)] ?? 0
}

/** First sizes of a document, a table and a reader, by turns. */
const MIXED = [
  { width: 480, height: 520 },
  { width: 520, height: 340 },
  { width: 440, height: 480 },
]
const mixed = (count: number, windows: number) => {
  const all = Array.from({ length: windows }, (_, at) => ({
    id: `${at}`,
    ...(MIXED[at % 3] ?? {}),
  }))
  return Array.from({ length: count }, (_, row) => ({
    id: `r${row}`,
    windows: all.filter((_, at) => at % count === row) as {
      id: string
      width: number
      height: number
    }[],
  }))
}

test.each([
  ['1280 × 800', { width: 912, height: 712 }, 6, 18, 130],
  ['1920 × 1080', { width: 1552, height: 992 }, 24, 72, 90],
  ['2560 × 1440', { width: 2192, height: 1352 }, 40, 60, 110],
])(
  'at %s all is in sight, and documents are as wide as they have to be',
  (_, room, desktops, windows, least) => {
    const shelves = standOnShelves(mixed(desktops, windows), room)
    expect(shelves.height).toBeLessThanOrEqual(room.height)
    expect(median(shelves)).toBeGreaterThanOrEqual(least)
  },
)

test('as many columns stand as make windows largest: no other count makes them much larger', () => {
  fc.assert(
    fc.property(rows, room, (list, within) => {
      const given = list.map((windows, row) => ({
        id: `r${row}`,
        windows: windows.map((window, at) => ({ id: `${row}-${at}`, ...window })),
      }))
      const area = ({ places }: ReturnType<typeof standOnShelves>) =>
        Object.values(places).reduce((sum, one) => sum + one.width * one.height * one.scale ** 2, 0)
      const best = standOnShelves(given, within)
      for (let size = 50; size <= 320; size += 2) {
        const other = standOnShelves(given, within, size)
        if (other.height <= within.height)
          expect(area(other)).toBeLessThanOrEqual(area(best) * 1.01)
      }
    }),
    runs(60),
  )
})

test('few desktops use the room there is, many are as large as all of them fit', () => {
  const large = { width: 1550, height: 990 }
  const six = standOnShelves(desktops(6, 4), large)
  expect(six.height).toBeLessThanOrEqual(990)
  expect(six.size).toBeGreaterThan(140)
  const twelve = standOnShelves(desktops(12, 4), large)
  expect(twelve.size).toBeLessThan(six.size)
})

test('what does not fit at the least legible size scrolls at that size; empty desktops are thin', () => {
  const small = { width: 500, height: 560 }
  const forty = standOnShelves(desktops(40, 4), small)
  expect(forty.size).toBe(50)
  expect(forty.height).toBeGreaterThan(560)
  const empty = standOnShelves(desktops(12, 0), small)
  expect(empty.height).toBe(12 * 40)
})

test('chips stand in a band below all else, side by side and beyond no edge', () => {
  const room = { width: 1000, height: 700 }
  const chips = Array.from({ length: 9 }, (_, at) => ({ id: `c${at}`, windows: [], chip: true }))
  const { rows, height } = standOnShelves([...desktops(6, 3), ...chips], room)
  const [above, below] = [rows.slice(0, 6), rows.slice(6)]
  const bottom = Math.max(...above.map(({ top, height }) => top + height))
  expect(height).toBeLessThanOrEqual(room.height)
  expect(below.map(({ id }) => id)).toEqual(chips.map(({ id }) => id))
  for (const [at, one] of below.entries()) {
    expect(one.top).toBeGreaterThanOrEqual(bottom)
    expect(one.left + one.width).toBeLessThanOrEqual(room.width)
    const before = below[at - 1]
    if (before?.top === one.top) expect(one.left).toBeGreaterThanOrEqual(before.left + before.width)
  }
  expect(new Set(below.map(({ top }) => top)).size).toBe(3)
  expect(standOnShelves(chips, room).rows).toHaveLength(9)
})
