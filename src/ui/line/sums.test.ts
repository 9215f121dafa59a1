import { PLAIN } from '@/core/formula/value'
import { sumOf } from './sums'

test.each([
  ['2*17', '34'],
  ['(12 + 4) / 3', '5.33333333333'],
  ['200 + 19%', '238'],
  ['sqrt(2)^2', '2'],
  ['-5', null],
  ['12', null],
  ['16:00', null],
  ['2026-12-24', null],
  ['notes - 2', null],
  ['send rota', null],
  ['1/0', null],
  ['', null],
])('“%s” comes to %s', (typed, sum) => {
  expect(sumOf(typed, PLAIN)).toBe(sum)
})
