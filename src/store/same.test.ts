import { sameItems, sameValues } from './same'

test('lists are the same item by item, in order', () => {
  expect(sameItems(['a', 'b'], ['a', 'b'])).toBe(true)
  expect(sameItems(['a', 'b'], ['b', 'a'])).toBe(false)
  expect(sameItems(['a'], ['a', 'b'])).toBe(false)
  expect(sameItems([{}], [{}])).toBe(false)
})

test('objects are the same value by value, not by what is in them', () => {
  const frame = { x: 1 }
  expect(sameValues({ frame, name: 'a' }, { frame, name: 'a' })).toBe(true)
  expect(sameValues({ frame, name: 'a' }, { frame, name: 'b' })).toBe(false)
  expect(sameValues({ frame, name: 'a' }, { frame: { x: 1 }, name: 'a' })).toBe(false)
})
