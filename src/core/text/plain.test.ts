import { allWords, plain } from './plain'

test('a text is looked at without accents and capitals', () => {
  expect(plain('Überprüfung ÉTÉ')).toBe('uberprufung ete')
})

test.each([
  ['Quiet desktop', 'desk quiet', true],
  ['Überblick', 'uber BLICK', true],
  ['Quiet desktop', 'quiet shelf', false],
  ['anything', '', true],
  ['anything', '   ', true],
])('%s with the words “%s”', (text, query, has) => {
  expect(allWords(query)(text)).toBe(has)
})
