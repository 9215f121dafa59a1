import fc from 'fast-check'
import { again, goneOn, inWords, left, parse, paused } from './countdown/time'
import type { TableContent } from './table/content'
import { readCsv } from './table/csv'
import { addColumn, addRow, removeColumns, setCell } from './table/edits'
import { csvOf, runningCells } from './table/toCsv'

const table: TableContent = {
  columns: ['station', 'new'],
  rows: [
    ['HR-02', '9'],
    ['HR-10', ''],
    ['HR-01', '22'],
  ],
}

test('a table is the same after CSV and back, whatever is in its cells', () => {
  const cell = fc.string({
    unit: fc.constantFrom('a', ',', '"', '\n', ' ', 'é', ';'),
    maxLength: 6,
  })
  const rows = fc.array(fc.tuple(cell, cell, fc.constant('end')), { minLength: 1, maxLength: 8 })
  fc.assert(
    fc.property(rows, (list) => {
      const content = { columns: ['one', 'two', 'three'], rows: list.map((row) => [...row]) }
      expect(readCsv(csvOf(content))).toEqual(content)
    }),
  )
})

test('short rows are filled and long ones get columns; a broken quote and an empty file are told', () => {
  expect(readCsv('a,b\n1\n1,2,3')).toEqual({
    columns: ['a', 'b', 'Column 3'],
    rows: [
      ['1', '', ''],
      ['1', '2', '3'],
    ],
  })
  expect(() => readCsv('a,b\n"1,2')).toThrow('line 2')
  expect(() => readCsv('')).toThrow('nothing in it')
})

test('rows and columns are added and removed without touching the old content', () => {
  const before = structuredClone(table)
  expect(addRow(table, 0).rows[1]).toEqual(['', ''])
  expect(addColumn(table, 0).columns).toEqual(['station', 'A', 'new'])
  expect(removeColumns(table, 0, 0).columns).toEqual(['new'])
  expect(setCell(table, 1, 1, '4').rows[1]).toEqual(['HR-10', '4'])
  expect(setCell(table, 0, 0, 'HR-02')).toBe(table)
  expect(table).toEqual(before)
})

test('a countdown is set to a time of day or for a duration', () => {
  const noon = new Date(2026, 0, 5, 12, 0).getTime()
  const minutes = (text: string) => {
    const set = parse(text, noon)
    return set ? left(set, noon) / 60_000 : null
  }
  expect(minutes('16:00')).toBe(240)
  expect(minutes('11.30')).toBe(23.5 * 60)
  expect(minutes('25')).toBe(25)
  expect(minutes('1 h 30')).toBe(90)
  expect(minutes('90 s')).toBe(1.5)
  for (const wrong of ['', '0', '25:00', 'soon', '1000 h']) expect(minutes(wrong)).toBeNull()
})

test('what a countdown is for stands before or after its time; alarms come again; a stopwatch counts up', () => {
  const friday = new Date(2026, 0, 9, 12, 0).getTime()
  const clock = (hours: number, days = 0) => new Date(2026, 0, 9 + days, hours, 0).getTime()
  const set = (text: string) => parse(text, friday)
  expect(set('tea 5 min')).toMatchObject({ label: 'tea', of: 300_000 })
  expect(set('in 25 min')).toMatchObject({ of: 1_500_000 })
  expect(set('25 min call the hut')).toMatchObject({ label: 'call the hut', of: 1_500_000 })
  expect(set('bulletin at 4pm')).toMatchObject({ label: 'bulletin', until: clock(16) })
  expect(set('noon')).toMatchObject({ until: clock(12, 1) })
  const rounds = set('weekdays 9:00 rounds')
  expect(rounds).toMatchObject({
    label: 'rounds',
    repeat: { on: 'weekdays', clock: 540 },
    until: clock(9, 3),
  })
  expect(set('daily 9:00')).toMatchObject({ until: clock(9, 1) })
  expect(set('daily 5 min')).toBeNull()
  expect(set('tea')).toBeNull()
  if (rounds?.kind !== 'running') throw new Error('not set')
  // Over and seen, a minute later it is set anew; not while nobody has seen it.
  const over = { ...rounds, told: true }
  expect(again(over, over.until + 59_000)).toBeNull()
  expect(again(rounds, rounds.until + 60_000)).toBeNull()
  expect(again(over, over.until + 60_000)).toMatchObject({
    label: 'rounds',
    repeat: rounds.repeat,
    until: clock(9, 4),
  })
  // Paused and going on, it is at its time again.
  expect(goneOn(paused(rounds, friday), friday + 3_600_000)).toMatchObject({ until: clock(9, 3) })
  const watch = parse('stopwatch climb', 1000)
  if (!watch) throw new Error('not set')
  expect(left(watch, 5000)).toBe(4000)
  const stands = paused(watch, 5000)
  expect(left(stands, 9000)).toBe(4000)
  expect(left(goneOn(stands, 9000), 10_500)).toBe(5500)
  expect(inWords(5500, true)).toBe('0:05')
  const tea = set('tea 5 min')
  if (!tea) throw new Error('not set')
  expect(goneOn(paused(tea, friday + 60_000), friday + 90_000)).toEqual({
    ...tea,
    until: friday + 330_000,
  })
})

test('the time left is said in words and ends at nothing', () => {
  expect(inWords(2 * 3_600_000 + 14 * 60_000)).toBe('2 h 14 min')
  expect(inWords(61_001)).toBe('1:02')
  expect(inWords(0)).toBe('0:00')
  expect(left({ kind: 'running', until: 5, of: 10 }, 9)).toBe(0)
  expect(left({ kind: 'paused', left: 7, of: 10 }, 9)).toBe(7)
})

test('what a spreadsheet would run is counted, and written as text where it is wanted', () => {
  const risky = {
    columns: ['name', '=HEAD()'],
    rows: [
      ['=1+1', '-8.0'],
      ['@cmd', '+41 %'],
      ['plain', '- not a number'],
    ],
  }
  expect(runningCells(risky)).toBe(4)
  expect(csvOf(risky, true).split('\r\n')).toEqual([
    "name,'=HEAD()",
    "'=1+1,-8.0",
    "'@cmd,+41 %",
    "plain,'- not a number",
    '',
  ])
  expect(csvOf(risky).startsWith('name,=HEAD()')).toBe(true)
})

test('a table may have very many rows, but not very many columns', () => {
  const rows = Array.from({ length: 130_000 }, (_, n) => `${n},x`).join('\n')
  expect(readCsv(`a,b\n${rows}`).rows).toHaveLength(130_000)
  expect(() => readCsv('a,'.repeat(3000))).toThrow('2000 is the most')
})
