import { PLAIN } from '@/core/formula/value'
import { worked } from './worked'

const shown = (text: string, forms = PLAIN) =>
  worked(text, forms, 20_788).map((result) =>
    result === null ? '' : 'problem' in result ? `! ${result.problem}` : result.shown,
  )

test('each line is a sum; names, the line before and the total are known', () => {
  expect(
    shown('snow = 12 + 4\nsnow * 2\n+ 1\nlast / 3\n\n10 # two tens\n10\ntotal\n# remark\n\ntotal'),
  ).toEqual(['16', '32', '33', '11', '', '10', '10', '20', '', '', '0'])
})

test('numbers as people write them, percent, days and functions', () => {
  expect(shown('€ 1,200.50\n+ 10%\n2026-12-24 - 2026-12-01\n200 - 5% * 2\n50 * 10%')).toEqual([
    '1200.5',
    '1320.55',
    '23',
    '199.9',
    '5',
  ])
  expect(shown('today() + 7\nround(2/3, 2)\nsqrt(2)')).toEqual([
    '2026-12-08',
    '0.67',
    '1.41421356237',
  ])
  expect(shown('1,5 * 2\nmax(1,5; 2)', { ...PLAIN, decimal: ',' })).toEqual(['3', '2'])
})

test('what comes to nothing says why, and the other lines go on', () => {
  expect(shown('1/0\nwind + 1\n2 +\n3\nA1')).toEqual([
    '! it divides by 0',
    '! “wind” isn’t defined',
    '! it ends too early',
    '3',
    '! “a1” isn’t defined',
  ])
  expect(shown('')).toEqual([''])
  expect(shown('b2 = 4\nB2 * 2')).toEqual(['4', '8'])
})
