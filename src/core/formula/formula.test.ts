import fc from 'fast-check'
import { evaluate } from './evaluate'
import { carried, follow, inserted, removed, unmoved } from './moved'
import { parseFormula } from './parse'
import { FormulaProblem } from './problem'
import { Sheet, type Worked } from './sheet'
import { columnOf, lettersOf } from './tokens'
import {
  compareValues,
  dayNumber,
  PLAIN,
  partsOfDay,
  readValue,
  type Value,
  writeValue,
} from './value'

const TODAY = dayNumber(2026, 12, 1) as number

const worked = (text: string, rows: string[][] = []): Worked =>
  new Sheet([...rows, [text]], 8, PLAIN, TODAY).at(rows.length, 0)

const value = (text: string, rows: string[][] = []): Value | string => {
  const result = worked(text, rows)
  return 'value' in result ? result.value : `! ${result.problem}`
}

test.each([
  ['=1+2*3', 7],
  ['=(1+2)*3', 9],
  ['=2^3^2', 512],
  ['=-2^2', -4],
  ['=2^-1', 0.5],
  ['=10-4-3', 3],
  ['=50%*8', 4],
  ['=7×6÷2−1', 20],
  ['="a"&1+1', 'a2'],
  ['="say ""so"""', 'say "so"'],
  ['=1<2', true],
  ['="b">"a"', true],
  ['=2<>2', false],
  ['=if(1=1,"yes","no")', 'yes'],
  ['=IF(0,1/0,5)', 5],
  ['=if(0;1)', ''],
  ['=iferror(1/0,"none")', 'none'],
  ['=round(2.345,2)', 2.35],
  ['=round(-2.5)', -3],
  ['=round(1234,-2)', 1200],
  ['=mod(-3,5)', 2],
  ['=len("ärger")', 5],
  ['=left("kite",2)&right("shelf",3)', 'kielf'],
  ['=year(today())', 2026],
  ['=0.1+0.2=0.3', true],
  ['=sum()', '! sum needs more values'],
  ['=1/0', '! it divides by 0'],
  ['=1+', '! it ends too early'],
  ['=(1', '! a bracket is not closed'],
  ['="a', '! a quote is not closed'],
  ['=1 2', '! “2” isn’t expected here'],
  ['=#', '! “#” isn’t expected here'],
  ['=frob(1)', '! there is no function “frob”'],
  ['=constructor(1)', '! there is no function “constructor”'],
  ['=wind', '! “wind” isn’t defined'],
  ['="x"+1', '! “x” is not a number'],
  ['=Z9', '! there is no cell Z9'],
  ['=A1', '! it refers to itself'],
  ['=9^9^9', '! the result is too large'],
  ['=sqrt(-1)', '! there is no result'],
])('%s comes to %s', (formula, expected) => {
  expect(value(formula)).toBe(expected)
})

const SHEET = [
  ['Hut', '12', '3.5', '2026-12-01'],
  ['Ford', '', '€ 1,200.50', '2026-12-24'],
  ['Crag', 'broken', '10%', '=D1+7'],
]

test.each([
  ['=sum(B1:B3)', 12],
  ['=sum(C:C)', 1204.1],
  ['=average(B1:C1)', 7.75],
  ['=count(A1:C3)', 4],
  ['=counta(B1:B3)', 2],
  ['=max(C1:C3)', 1200.5],
  ['=median(C1:C3)', 3.5],
  ['=D2-D1', 23],
  ['=max(D1:D2)', { day: dayNumber(2026, 12, 24) }],
  ['=D2-2026-12-01', 23],
  ['=2026-12-24+1', { day: dayNumber(2026, 12, 25) }],
  ['=D3', { day: dayNumber(2026, 12, 8) }],
  ['=countif(A1:A3,"ford")', 1],
  ['=countif(C1:C3,">1")', 2],
  ['=sumif(A1:A3,"<>ford",C1:C3)', 3.6],
  ['=$B$1*2', 24],
  ['=B2+1', 1],
  ['=B3+1', '! “broken” is not a number'],
  ['=average(A1:A3)', '! there are no numbers'],
  ['=B1:B3', '! use a range inside a function such as sum'],
])('over cells, %s comes to %s', (formula, expected) => {
  const result = value(formula, SHEET)
  if (typeof expected === 'number') expect(result).toBeCloseTo(expected, 9)
  else expect(result).toEqual(expected)
})

test('a problem names the cell it began in; a circle is found however long', () => {
  const chain = new Sheet([['=B1', '=C1', '=1/0']], 3, PLAIN, TODAY)
  expect(chain.at(0, 0)).toEqual({ problem: 'B1: it divides by 0' })
  const circle = [['=A2'], ...Array.from({ length: 5000 }, (_, at) => [`=A${at + 3}`]), ['=A1']]
  expect(new Sheet(circle, 1, PLAIN, TODAY).at(0, 0)).toEqual({ problem: 'it refers to itself' })
})

test('a chain of a hundred thousand cells is worked out from either end', () => {
  const rows = Array.from({ length: 100_000 }, (_, at) => [at === 0 ? '1' : `=A${at}+1`])
  expect(new Sheet(rows, 1, PLAIN, TODAY).at(99_999, 0)).toEqual({ value: 100_000 })
  const sheet = new Sheet([...rows, ['=sum(A1:A100000)']], 1, PLAIN, TODAY)
  expect(sheet.at(100_000, 0)).toEqual({ value: (100_000 * 100_001) / 2 })
})

test('sums of random cells equal a count by hand', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -999, max: 999 }), fc.constantFrom('', 'x', null)), {
        minLength: 1,
        maxLength: 40,
      }),
      fc.nat(39),
      fc.nat(39),
      (cells, a, b) => {
        const [top, bottom] = [Math.min(a, b), Math.max(a, b)]
        const rows = cells.map(([number, text]) => [text ?? String(number)])
        const sheet = new Sheet([...rows, [`=sum(A${top + 1}:A${bottom + 1})`]], 1, PLAIN, TODAY)
        const within = cells.slice(top, bottom + 1)
        const byHand = within.reduce((sum, [number, text]) => sum + (text === null ? number : 0), 0)
        if (bottom < rows.length) expect(sheet.at(rows.length, 0)).toEqual({ value: byHand })
      },
    ),
  )
})

test('sums on paper: random ones equal what the language makes of them', () => {
  const sum: fc.Arbitrary<string> = fc.letrec<{ sum: string; leaf: string }>((tie) => ({
    leaf: fc.integer({ min: 1, max: 99 }).map(String),
    sum: fc.oneof(
      { depthSize: 'small' },
      tie('leaf'),
      fc
        .tuple(tie('sum'), fc.constantFrom('+', '-', '*', '/'), tie('sum'))
        .map(([a, operator, b]) => `${a}${operator}${b}`),
      tie('sum').map((inner) => `(${inner})`),
    ),
  })).sum
  fc.assert(
    fc.property(sum, (formula) => {
      const expected = new Function(`return ${formula}`)() as number
      fc.pre(Number.isFinite(expected))
      const scope = {
        cell: () => '',
        extent: { rows: 0, columns: 0 },
        name: () => undefined,
        today: 0,
      }
      expect(evaluate(parseFormula(formula), scope)).toBeCloseTo(expected, 6)
    }),
  )
})

test('whatever is typed is worked out or refused in words', () => {
  const pieces = [
    '=',
    'A1',
    'B:B',
    'sum(',
    ')',
    ',',
    ';',
    '"',
    '1',
    '.5',
    '+',
    '^',
    '%',
    ' ',
    ':',
    'gone',
    '(',
  ]
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...pieces), { maxLength: 14 }), (parts) => {
      const result = worked(`=${parts.join('')}`, SHEET)
      expect('value' in result || result.problem.length > 0).toBe(true)
    }),
    { numRuns: 2000 },
  )
  expect(() => parseFormula('('.repeat(5000))).toThrow(FormulaProblem)
})

test.each([
  ['1234.5', 1234.5],
  ['1,234.5', 1234.5],
  ['1.234,5', 1234.5],
  ['1 234,5', 1234.5],
  ['1’234’567', 1234567],
  ['1,234', 1234],
  ['1.234', 1.234],
  ['0,234', 0.234],
  ['1,23', 1.23],
  ['−5', -5],
  ['12 %', 0.12],
  ['€ 12.50', 12.5],
  ['12,50 €', 12.5],
  ['-$3', -3],
  ['$-3', -3],
  ['EUR 7', 7],
  ['1,2,3', '1,2,3'],
  ['12,34,567', '12,34,567'],
  ['007', '007'],
  ['0049 30 1234', '0049 30 1234'],
  ['HR-01', 'HR-01'],
  ['12345678901234567', '12345678901234567'],
  ['', ''],
  ['2026-02-30', '2026-02-30'],
  ['31/12/2026', { day: dayNumber(2026, 12, 31) }],
  ['12/31/2026', '12/31/2026'],
  ['1. 2. 2026', { day: dayNumber(2026, 2, 1) }],
])('“%s” is read as %s', (text, expected) => {
  expect(readValue(text)).toEqual(expected)
})

test('a comma for tenths, and months first, where one writes so', () => {
  const forms = { decimal: ',', order: 'mdy', day: 'slashes' } as const
  expect(readValue('1,234', forms)).toBe(1.234)
  expect(readValue('1.234', forms)).toBe(1234)
  expect(readValue('12/31/2026', forms)).toEqual({ day: dayNumber(2026, 12, 31) })
  expect(writeValue(1.5, forms)).toBe('1,5')
  expect(writeValue({ day: dayNumber(2026, 12, 31) as number }, forms)).toBe('12/31/2026')
  const scope = { cell: () => '', extent: { rows: 0, columns: 0 }, name: () => undefined, today: 0 }
  expect(evaluate(parseFormula('max(1,5;2)', ','), scope)).toBe(2)
})

test('days and columns go out and in again', () => {
  fc.assert(
    fc.property(fc.integer({ min: -700_000, max: 2_900_000 }), (day) => {
      expect(dayNumber(...partsOfDay(day))).toBe(day)
      const written = writeValue({ day }, PLAIN)
      if (/^\d{4}-/.test(written)) expect(readValue(written)).toEqual({ day })
    }),
  )
  fc.assert(
    fc.property(fc.nat(18_277), (column) => expect(columnOf(lettersOf(column))).toBe(column)),
  )
})

test('values stand in one order', () => {
  const values = fc.oneof(
    fc.integer(),
    fc.string(),
    fc.boolean(),
    fc.integer({ min: 0, max: 99_999 }).map((day) => ({ day })),
  )
  fc.assert(
    fc.property(values, values, values, (a, b, c) => {
      expect(Math.sign(compareValues(a, b))).toBe(-Math.sign(compareValues(b, a)) + 0)
      if (compareValues(a, b) <= 0 && compareValues(b, c) <= 0)
        expect(compareValues(a, c)).toBeLessThanOrEqual(0)
    }),
  )
})

test.each([
  ['=A1+B2', { row: inserted(1), column: unmoved }, '=A1+B3'],
  ['=sum(A1:A9)', { row: inserted(4), column: unmoved }, '=sum(A1:A10)'],
  ['=sum(A1:A9)', { row: removed([0, 8]), column: unmoved }, '=sum(A1:A7)'],
  ['=sum(A3:A4)', { row: removed([2, 3]), column: unmoved }, '=sum(gone)'],
  ['=A3*2', { row: removed([2]), column: unmoved }, '=gone*2'],
  ['=$B$2&"A1"', { row: inserted(0), column: inserted(0) }, '=$C$3&"A1"'],
  ['=sum(B:C)', { row: inserted(0), column: removed([1]) }, '=sum(B:B)'],
  ['=Z1(', { row: unmoved, column: inserted(0) }, '=Z1('],
  ['A1', { row: inserted(0), column: unmoved }, 'A1'],
])('%s after a change is %s', (formula, moved, expected) => {
  expect(follow(formula, moved)).toBe(expected)
})

test('a formula carried to another cell goes along, but for what has a dollar sign', () => {
  expect(carried('=A1+$A1+A$1+$A$1', 2, 3)).toBe('=D3+$A3+D$1+$A$1')
  expect(carried('=A1', -1, 0)).toBe('=gone')
  expect(carried('=sum(A1:B2)+sum(A:A)', 1, 1)).toBe('=sum(B2:C3)+sum(B:B)')
})

test('after rows are put in and taken out again a formula is as it was', () => {
  fc.assert(
    fc.property(fc.nat(50), fc.nat(50), fc.nat(50), (a, b, at) => {
      const formula = `=sum(B${a + 1}:C${b + 1})`
      const there = follow(formula, { row: inserted(at), column: inserted(1) })
      expect(follow(there, { row: removed([at]), column: removed([1]) })).toBe(formula)
    }),
  )
})
