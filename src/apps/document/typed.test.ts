import { addressOf, isAllowedUri, linksItself } from './addresses'
import { isMarkdown } from './pasted'
import { counted } from './words'

test.each([
  ['www.example.org/a?b', 'https://www.example.org/a?b'],
  ['example.org', 'https://example.org'],
  ['duty@example.org', 'mailto:duty@example.org'],
  [' http://example.org ', 'http://example.org'],
  ['kite:bulletin', 'kite:bulletin'],
  ['../north.md', '../north.md'],
  ['#snow', '#snow'],
  ['two words', 'two words'],
])('“%s” leads to %s', (typed, address) => {
  expect(addressOf(typed)).toBe(address)
})

test('links lead to the web, to mail and to documents; nothing that would run', () => {
  expect(['https://a.b', 'mailto:a@b.c', 'kite:x', 'north.md'].every(isAllowedUri)).toBe(true)
  expect(
    ['javascript:alert(1)', ' JavaScript:1', 'data:text/html,x', 'file:///x'].some(isAllowedUri),
  ).toBe(false)
  expect(['https://example.org', 'www.example.org'].every(linksItself)).toBe(true)
  expect(['north.md', 'example.org', 'a@b.c'].some(linksItself)).toBe(false)
})

test('what is pasted is Markdown where a line says so', () => {
  expect(isMarkdown('# Snow\n\ntext')).toBe(true)
  expect(isMarkdown('to do:\n- wax\n- pack')).toBe(true)
  expect(isMarkdown('1. wax\n2. pack')).toBe(true)
  expect(isMarkdown('| a | b |\n| --- | --- |')).toBe(true)
  expect(isMarkdown('- wax')).toBe(false)
  expect(isMarkdown('a\nb -c\n3.5 cm')).toBe(false)
})

test.each([
  ['', 0],
  ['one', 1],
  ['Don’t count twelve-foot 1,200.50 as more.', 6],
  ['– — …', 0],
  ['雪が降る', 4],
  ['Ärger über Öl\nund mehr', 5],
])('“%s” has %d words', (text, words) => {
  expect(counted(text)).toBe(words)
})
