import { runs } from '@testing/runs'
import * as fc from 'fast-check'
import { changedBy, difference } from './difference'

const made = (before: unknown, after: unknown) => {
  const change = difference(before, after)
  return change ? changedBy(before, change) : before
}

test('what was told makes the one of the other, whatever both are', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
      expect(made(before, after)).toEqual(after)
    }),
    runs(2000),
  )
})

test('a part of a value that is changed by chance is found wherever it stands', () => {
  const value = fc.letrec<{ value: unknown }>((tie) => ({
    value: fc.oneof(
      { maxDepth: 3 },
      fc.string(),
      fc.nat(),
      fc.array(tie('value'), { maxLength: 5 }),
      fc.dictionary(fc.constantFrom('a', 'b', 'c', 'text'), tie('value')),
    ),
  })).value
  fc.assert(
    fc.property(fc.array(value, { minLength: 1 }), value, fc.nat(), (list, other, at) => {
      const after = list.with(at % list.length, other)
      expect(made(list, after)).toEqual(after)
      expect(made({ saved: list, draft: null }, { saved: null, draft: after })).toEqual({
        saved: null,
        draft: after,
      })
    }),
    runs(1000),
  )
})

test('of a letter in a long text only the letter is told, of a cell only the cell', () => {
  const text = 'Tide and wind. '.repeat(4000)
  const typed = `${text.slice(0, 30_000)}!${text.slice(30_000)}`
  expect(difference({ draft: { markdown: text } }, { draft: { markdown: typed } })).toEqual({
    is: 'parts',
    gone: [],
    parts: {
      draft: {
        is: 'parts',
        gone: [],
        parts: { markdown: { is: 'text', from: 30_000, to: 30_000, put: '!' } },
      },
    },
  })
  const rows = Array.from({ length: 5000 }, (_, at) => [`${at}`, 'calm'])
  expect(difference(rows, rows.with(70, ['70', 'gale']))).toEqual({
    is: 'item',
    at: 70,
    change: { is: 'item', at: 1, change: { is: 'text', from: 0, to: 0, put: 'gale' } },
  })
})

test('bytes and dates go whole', () => {
  const bytes = new Uint8Array([1, 2])
  expect(difference(new Uint8Array([1]), bytes)).toEqual({ is: 'whole', value: bytes })
  expect(made({ a: undefined }, {})).toStrictEqual({})
  expect(made({}, { a: undefined })).toStrictEqual({ a: undefined })
})
