import { runs } from '@testing/runs'
import fc from 'fast-check'
import { compared, merged, partsOf, takenOf } from './merging'

const BASE = 'Snow\n\nThe north side holds.\n\nWind\n\nFrom the west.\n'

test('a text is its paragraphs, or its lines, one after the other', () => {
  expect(partsOf(BASE, 'paragraphs')).toEqual([
    'Snow\n',
    '\nThe north side holds.\n',
    '\nWind\n',
    '\nFrom the west.\n',
  ])
  expect(partsOf('a,b\n1,2\n3,4', 'lines')).toEqual(['a,b\n', '1,2\n', '3,4'])
  expect(partsOf('\n\nlate\nlines\n', 'paragraphs')).toEqual(['\n\nlate\nlines\n'])
})

test('what only one side changed is taken; where both did, both are kept', () => {
  const here = BASE.replace('holds', 'holds well').replace('west', 'north')
  const there = BASE.replace('Snow', 'New snow').replace('west', 'south')
  const found = compared(here, BASE, there, 'paragraphs')
  expect(found.map(({ changed }) => changed)).toEqual(['there', 'here', 'neither', 'both'])
  expect(merged(found, [])).toBe(
    'New snow\n\nThe north side holds well.\n\nWind\n\nFrom the north.\n\nFrom the south.\n',
  )
  expect(merged(found, [undefined, undefined, undefined, 'there'])).toContain(
    'Wind\n\nFrom the south.\n',
  )
})

test('a paragraph that one side removed is gone; one the other side added is there', () => {
  const here = BASE.replace('Wind\n\n', '')
  const there = `${BASE}\nThaw by noon.\n`
  const found = compared(here, BASE, there, 'paragraphs')
  expect(merged(found, [])).toBe(
    'Snow\n\nThe north side holds.\n\nFrom the west.\n\nThaw by noon.\n',
  )
})

test('without a base each difference is asked about', () => {
  const found = compared('a\n\nb\n', null, 'a\n\nc\n', 'paragraphs')
  expect(found.map(({ changed, here, there }) => [changed, here, there])).toEqual([
    ['neither', 'a\n', 'a\n'],
    ['both', '\nb\n', '\nc\n'],
  ])
})

const text = fc
  .array(fc.constantFrom('snow', 'wind', 'thaw', 'rota', 'slope', ''), { maxLength: 9 })
  .map((lines) => lines.map((line) => `${line}\n`).join(''))

test('in any texts: each side is found whole, the same merges to itself, and nothing changed once is lost', () => {
  fc.assert(
    fc.property(
      text,
      text,
      text,
      fc.constantFrom('paragraphs', 'lines'),
      (here, base, there, by) => {
        for (const before of [base, null]) {
          const found = compared(here, before, there, by)
          expect(found.map((one) => one.here).join('')).toBe(here)
          expect(found.map((one) => one.there).join('')).toBe(there)
          const all = (takes: 'here' | 'there') =>
            merged(
              found,
              found.map(() => takes),
            )
          expect(all('here')).toBe(here)
          expect(all('there')).toBe(there)
        }
        // One side as it was: the other is the outcome.
        expect(merged(compared(here, here, there, by), [])).toBe(there)
        expect(merged(compared(here, there, there, by), [])).toBe(here)
        expect(compared(here, base, here, by).every((one) => one.changed === 'neither')).toBe(true)
        // The sides changed about are told the other way round.
        const about = compared(there, base, here, by).map(takenOf)
        const swap = { here: 'there', there: 'here', both: 'both' } as const
        const told = compared(here, base, there, by)
        expect(about).toEqual(
          told.map((one) => (one.changed === 'neither' ? 'here' : swap[takenOf(one)])),
        )
      },
    ),
    runs(200),
  )
})
