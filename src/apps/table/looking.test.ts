import fc from 'fast-check'
import { PLAIN } from '@/core/formula/value'
import type { TableContent } from './content'
import { readCsv } from './csv'
import { edgeFrom, figuresOf, onlyWith, sheetOf, shownRows } from './looking'
import { mannerOf } from './manner'
import { csvOf, workedOut } from './toCsv'

const rowsOf = (table: TableContent): number[] => shownRows(table, sheetOf(table, PLAIN, 0), PLAIN)

const cell = fc.oneof(
  fc.constantFrom('', 'NW 34', '−5.1', '-7', '12', '118', 'Tarn'),
  fc.integer().map(String),
)
const table = fc.integer({ min: 1, max: 4 }).chain((columns) =>
  fc.record({
    columns: fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: columns, maxLength: columns }),
    rows: fc.array(fc.array(cell, { minLength: columns, maxLength: columns }), { maxLength: 12 }),
  }),
)

test('every row is shown once, numbers by size, empty cells last, both ways round', () => {
  fc.assert(
    fc.property(table, fc.nat(3), (given, at) => {
      const column = at % given.columns.length
      for (const down of [false, true]) {
        const order = rowsOf({ ...given, sort: { column, down } })
        expect([...order].sort((a, b) => a - b)).toEqual([...given.rows.keys()])
        const cells = order.map((row) => given.rows[row]?.[column] ?? '')
        const full = cells.filter((text) => text !== '')
        expect(cells.slice(0, full.length)).toEqual(full)
        const numbers = full.map((text) => Number(text.replace('−', '-')))
        if (numbers.some(Number.isNaN)) continue
        const wanted = numbers.toSorted((a, b) => (down ? b - a : a - b))
        expect(numbers).toEqual(wanted)
      }
    }),
  )
})

test('a filter leaves the rows that have the text in any cell, in their order', () => {
  fc.assert(
    fc.property(table, fc.constantFrom('T', '1', 'nw', ' ', 'none of them'), (given, filter) => {
      const wanted = filter.trim().toLowerCase()
      const kept = [...given.rows.keys()].filter((row) =>
        given.rows[row]?.some((text) => text.toLowerCase().includes(wanted)),
      )
      expect(rowsOf({ ...given, filter })).toEqual(wanted ? kept : [...given.rows.keys()])
    }),
  )
})

const SNOW: TableContent = {
  columns: ['station', 'new cm', 'day', 'double'],
  rows: [
    ['Kestrel Bowl', '9', '2026-12-01', '=B1*2'],
    ['Tarn', '', '2026-11-30', '=B2*2'],
    ['Kestrel Ridge', '€ 1,100', '2026-12-24', '=A3*2'],
    ['Ford', '22', 'soon', '=B4*2'],
  ],
}

test.each([
  ['kestrel', [0, 2]],
  ['station: kestrel', [0, 2]],
  ['Station = tarn', [1]],
  ['new cm > 10', [2, 3]],
  ['new cm <= 9', [0]],
  ['new cm = 22 and station: ford', [3]],
  ['station: kestrel and new cm < 100', [0]],
  ['day >= 2026-12-01', [0, 2]],
  ['station <> Ford', [0, 1, 2]],
  ['double = 44', [3]],
  ['18', [0]],
  ['not a number', [2]],
  ['wind: kestrel', []],
  ['sand and gravel', []],
])('the filter “%s” leaves %j', (filter, rows) => {
  expect(rowsOf({ ...SNOW, filter })).toEqual(rows)
})

test('what comes out of formulas is sorted by size; problems and texts stand after', () => {
  expect(rowsOf({ ...SNOW, sort: { column: 3, down: false } })).toEqual([1, 0, 3, 2])
  expect(rowsOf({ ...SNOW, sort: { column: 2, down: false } })).toEqual([1, 0, 2, 3])
})

test('only rows with this: beside what is asked for by column already', () => {
  expect(onlyWith({ ...SNOW, filter: 'kest' }, 0, 'Tarn')).toBe('station = Tarn')
  const filter = onlyWith({ ...SNOW, filter: 'new cm > 10' }, 0, 'Ford')
  expect(rowsOf({ ...SNOW, filter })).toEqual([3])
})

test('figures of a range count its numbers alone', () => {
  expect(figuresOf([1, 'x', 5, { day: 3 }, ''])).toEqual({
    count: 2,
    sum: 6,
    average: 3,
    least: 1,
    most: 5,
  })
  expect(figuresOf([1, 'x'])).toBeNull()
})

test('Ctrl and an arrow go to the end of what is filled, or to where something is again', () => {
  const filled = (at: number) => [true, true, true, false, false, true, false][at] === true
  const from = (at: number, step: 1 | -1) => edgeFrom(filled, at, step, 7)
  expect([from(0, 1), from(1, 1), from(2, 1), from(4, 1), from(5, 1), from(6, 1)]).toEqual([
    2, 2, 5, 5, 6, 6,
  ])
  expect([from(6, -1), from(5, -1), from(2, -1), from(0, -1)]).toEqual([5, 2, 0, 0])
  expect(edgeFrom(filled, 0, 1, 0)).toBe(0)
})

test.each([
  'Slope,Snow\r\nNorth,20\r\n',
  'Slope;Snow\nNorth;"2;0"\n',
  '"Slope","Snow"\r\n"North","20"\r\n',
  'Slope\tSnow\nNorth\t20',
])('a table goes back as it came: %j', (text) => {
  const manner = mannerOf(text)
  expect(csvOf({ ...readCsv(text), ...(manner && { manner }) })).toBe(text)
})

test('formulas are the same after CSV and back; worked out they are what they come to', () => {
  expect(readCsv(csvOf(SNOW))).toEqual(SNOW)
  expect(workedOut(SNOW, 0).rows.map((cells) => cells[3])).toEqual([
    '18',
    '0',
    '“Kestrel Ridge” is not a number',
    '44',
  ])
})
