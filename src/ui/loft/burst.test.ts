import { NO_BURST, searchIn, sentBy } from './burst'

test('one letter sends, the same again sends once more, another soon after it is a search', () => {
  expect(searchIn(NO_BURST, 'b', 0)).toBeNull()
  const one = sentBy(NO_BURST, 'B', 1000)
  expect(searchIn(one, 'b', 1100)).toBeNull()
  expect(searchIn(one, 'u', 1100)).toBe('bu')
  expect(searchIn(one, 'U', 1500)).toBeNull()
  const two = sentBy(one, 'B', 1200)
  expect(two).toEqual({ letters: 'bb', sent: 2, at: 1200 })
  expect(searchIn(two, 'o', 1300)).toBe('bbo')
  expect(sentBy(two, 'M', 2000)).toEqual({ letters: 'm', sent: 1, at: 2000 })
})

test('only letters are typed: arrows, signs and digits keep what they mean', () => {
  const one = sentBy(NO_BURST, 'B', 1000)
  for (const key of ['ArrowLeft', 'Enter', '/', '3', ' ', 'Escape', 'Dead'])
    expect(searchIn(one, key, 1050)).toBeNull()
})
