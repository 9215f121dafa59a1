import fc from 'fast-check'
import { toBlock, toText } from './clipboard'
import type { TableContent } from './content'
import {
  addColumn,
  addRow,
  fill,
  putBlock,
  removeColumns,
  removeRows,
  renameColumn,
  setCell,
  shownRows,
  sortBy,
  widths,
} from './edits'

const cell = fc.oneof(
  fc.constantFrom('', 'NW 34', '−5.1', '-7', '12', '118', 'Tarn'),
  fc.integer().map(String),
)
const table = fc
  .integer({ min: 1, max: 4 })
  .chain((columns) =>
    fc.record({
      columns: fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: columns, maxLength: columns }),
      rows: fc.array(fc.array(cell, { minLength: columns, maxLength: columns }), { maxLength: 12 }),
      sort: fc.constant(null),
      filter: fc.constant(''),
    }),
  )
  .map((given) => given as TableContent)

const anyRow = (given: TableContent, at: number): number => at % Math.max(1, given.rows.length)

test('what is added is empty and what is removed is gone; nothing else changes', () => {
  fc.assert(
    fc.property(table, fc.nat(20), (given, at) => {
      const row = anyRow(given, at)
      const longer = addRow(given, row)
      expect(longer.rows[Math.min(row + 1, given.rows.length)]?.every((one) => one === '')).toBe(
        true,
      )
      expect(removeRows(longer, [Math.min(row + 1, given.rows.length)])).toEqual(given)
      const column = at % given.columns.length
      const wider = addColumn(given, column)
      expect(wider.rows.every((cells) => cells[column + 1] === '')).toBe(true)
      expect(new Set([...given.columns, wider.columns[column + 1]]).size).toBe(
        new Set(given.columns).size + 1,
      )
      expect(removeColumns(wider, column + 1, column + 1)).toEqual(given)
    }),
  )
})

test('every row is shown once, numbers by size, empty cells last, both ways round', () => {
  fc.assert(
    fc.property(table, fc.nat(3), (given, at) => {
      const column = at % given.columns.length
      const up = sortBy(given, column)
      const down = sortBy(up, column)
      expect(sortBy(down, column)).toEqual(given)
      for (const sorted of [up, down]) {
        const order = shownRows(sorted)
        expect([...order].sort((a, b) => a - b)).toEqual([...given.rows.keys()])
        const cells = order.map((row) => given.rows[row]?.[column] ?? '')
        const full = cells.filter((text) => text !== '')
        expect(cells.slice(0, full.length)).toEqual(full)
        const numbers = full.map((text) => Number(text.replace('−', '-')))
        if (numbers.some(Number.isNaN)) continue
        const wanted = numbers.toSorted((a, b) => (sorted === up ? a - b : b - a))
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
      expect(shownRows({ ...given, filter })).toEqual(wanted ? kept : [...given.rows.keys()])
    }),
  )
})

test('a cell is written in one place; the same again changes nothing; a name is never empty', () => {
  const given: TableContent = {
    columns: ['station', 'wind'],
    rows: [
      ['HR-01', 'NW 34'],
      ['HR-02', ''],
    ],
    sort: null,
    filter: '',
  }
  const written = setCell(given, 1, 1, 'W 12')
  expect(written.rows).toEqual([given.rows[0], ['HR-02', 'W 12']])
  expect(setCell(written, 1, 1, 'W 12')).toBe(written)
  expect(renameColumn(given, 0, ' place ').columns).toEqual(['place', 'wind'])
  expect(renameColumn(given, 0, '  ')).toBe(given)
  expect(removeColumns({ ...given, columns: ['one'] }, 0, 0).columns).toEqual(['one'])
  const [narrow, wide] = widths({ ...given, rows: [['x'.repeat(80), '']] })
  expect([narrow, wide]).toEqual([44, 9])
})

test('a block goes into rows wherever they stand, and makes what is not there', () => {
  const table = {
    columns: ['A', 'B'],
    rows: [
      ['1', '2'],
      ['3', '4'],
      ['5', '6'],
    ],
  }
  expect(putBlock(table, [2, 0], 1, [['x', 'y'], ['z']])).toEqual({
    columns: ['A', 'B', 'C'],
    rows: [
      ['1', 'z', ''],
      ['3', '4', ''],
      ['5', 'x', 'y'],
    ],
  })
  expect(putBlock(table, [2], 0, [['x'], ['y']]).rows).toHaveLength(4)
  expect(fill(table, [0, 1], 0, 1, '').rows).toEqual([
    ['', ''],
    ['', ''],
    ['5', '6'],
  ])
  expect(fill(table, [0], 0, 0, '1')).toBe(table)
  expect(removeColumns(table, 0, 5).columns).toEqual(['B'])
})

test('a block is the same after the clipboard and back, whatever is in it', () => {
  const cell = fc.string({ unit: fc.constantFrom('a', '"', '\t', '\n', ' ', ','), maxLength: 5 })
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, fc.constant('end')), { minLength: 1 }), (block) => {
      expect(toBlock(toText(block))).toEqual(block)
    }),
  )
  expect(toBlock('12\n')).toEqual([['12']])
  expect(toBlock('a "quote\tb')).toEqual([['a "quote', 'b']])
  expect(toBlock('')).toEqual([])
})
