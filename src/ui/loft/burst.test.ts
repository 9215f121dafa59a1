import { NO_BURST, searchIn, sentBy, sentWith } from './burst'

test('one letter sends, the same again sends once more, another soon after it is a search', () => {
  expect(searchIn(NO_BURST, 'b', 0)).toBeNull()
  const one = sentBy(NO_BURST, 'B', ['a'], 1000)
  expect(searchIn(one, 'b', 1100)).toBeNull()
  expect(searchIn(one, 'u', 1100)).toBe('bu')
  expect(searchIn(one, 'U', 1500)).toBeNull()
  const two = sentBy(one, 'B', ['a', 'b'], 1200)
  expect(two).toEqual({ letters: 'bb', sent: ['a', 'b'], at: 1200 })
  expect(searchIn(two, 'o', 1300)).toBe('bbo')
  expect(sentWith(one, 'b', 1200)).toEqual(['a'])
  expect(sentWith(one, 'm', 1200)).toEqual([])
  expect(sentWith(two, 'b', 2000)).toEqual([])
  expect(sentBy(two, 'M', ['c'], 2000)).toEqual({ letters: 'm', sent: ['c'], at: 2000 })
})

test('only letters are typed: arrows, signs and digits keep what they mean', () => {
  const one = sentBy(NO_BURST, 'B', ['a'], 1000)
  for (const key of ['ArrowLeft', 'Enter', '/', '3', ' ', 'Escape', 'Dead'])
    expect(searchIn(one, key, 1050)).toBeNull()
})
