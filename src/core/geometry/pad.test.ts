import { PAD, spanInWords, spanOf } from './pad'

const cell = (letter: string): number => PAD.indexOf(letter)

test('two cells span the rectangle between them, whichever comes first', () => {
  expect(spanOf(cell('Q'), cell('S'))).toEqual({ top: 0, left: 0, bottom: 1, right: 1 })
  expect(spanOf(cell('S'), cell('Q'))).toEqual(spanOf(cell('Q'), cell('S')))
  expect(spanOf(cell('E'), cell('Z'))).toEqual({ top: 0, left: 0, bottom: 2, right: 2 })
})

test('a span is named by the letters that place a window there', () => {
  for (let a = 0; a < 9; a++)
    for (let b = 0; b < 9; b++) {
      const [from, to = from] = spanInWords(spanOf(a, b)).split(' to ')
      expect(spanOf(cell(from ?? ''), cell(to ?? ''))).toEqual(spanOf(a, b))
    }
  expect(spanInWords(spanOf(cell('D'), cell('D')))).toBe('D')
})
