import fc from 'fast-check'
import { toBlock, toText } from './clipboard'
import type { TableContent } from './content'
import {
  addColumn,
  addRow,
  fill,
  fillDown,
  putBlock,
  removeColumns,
  removeRows,
  renameColumn,
  setCell,
  widths,
} from './edits'
import { copiedFrom, filledWith, isSingle, pasted } from './pasting'

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

test('formulas name the same cells after rows and columns come and go; filled down they go along', () => {
  const sums = {
    columns: ['day', 'new', 'sum'],
    rows: [
      ['1', '4', '=B1'],
      ['2', '6', '=C1+B2'],
      ['3', '5', ''],
    ],
    sort: { column: 1, down: true },
    widths: [0, 80, 0],
  }
  expect(fillDown(sums, [1, 2], 2, 2).rows[2]?.[2]).toBe('=C2+B3')
  expect(addRow(sums, -1).rows.map((cells) => cells[2])).toEqual(['', '=B2', '=C2+B3', ''])
  expect(removeRows(sums, [0]).rows[0]?.[2]).toBe('=gone+B1')
  const wider = addColumn(sums, 0)
  expect(wider.rows[1]?.[3]).toBe('=D1+C2')
  expect(wider.sort).toEqual({ column: 2, down: true })
  expect(wider.widths).toEqual([0, 0, 80, 0])
  expect(removeColumns(wider, 1, 1)).toEqual(sums)
  expect(removeColumns(sums, 1, 1).sort).toBeNull()
})

test('what is copied goes along with its formulas, into rows wherever they stand and beyond the last', () => {
  const sums = {
    columns: ['a', 'b'],
    rows: [
      ['1', '=A1*2'],
      ['2', ''],
      ['3', ''],
    ],
  }
  const one = copiedFrom(sums, [0], { top: 0, left: 1, bottom: 0, right: 1 })
  expect(isSingle(one)).toBe(true)
  expect(filledWith(sums, [1, 2], { top: 1, left: 1, bottom: 2, right: 1 }, one).rows).toEqual([
    ['1', '=A1*2'],
    ['2', '=A2*2'],
    ['3', '=A3*2'],
  ])
  const row = copiedFrom(sums, [0], { top: 0, left: 0, bottom: 0, right: 1 })
  expect(isSingle(row)).toBe(false)
  expect(pasted(sums, [2, 0, 1], { row: 0, column: 0 }, row).rows[2]).toEqual(['1', '=A3*2'])
  const two = copiedFrom(sums, [0, 1], { top: 0, left: 0, bottom: 1, right: 1 })
  expect(pasted(sums, [0, 1, 2], { row: 2, column: 0 }, two).rows).toEqual([
    ['1', '=A1*2'],
    ['2', ''],
    ['1', '=A3*2'],
    ['2', ''],
  ])
  // What was cut goes as it is.
  expect(pasted(sums, [0, 1, 2], { row: 1, column: 0 }, { ...row, from: null }).rows[1]).toEqual([
    '1',
    '=A1*2',
  ])
})
