import { makeShelf } from '@testing/shelf'
import { beginOpening, didNotEnd, endOpening, isLarge } from './opening'

const kept = new Map<string, string>()

beforeEach(() => {
  kept.clear()
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
  })
})

test('what was being opened when the page stopped is known when it comes back', () => {
  const before = makeShelf()
  beginOpening(before, 'big')
  beginOpening(before, 'fine')
  endOpening(before, 'fine')
  expect(didNotEnd(before, 'big')).toBe(false)
  const after = makeShelf()
  expect([didNotEnd(after, 'big'), didNotEnd(after, 'fine')]).toEqual([true, false])
  endOpening(after, 'big')
  expect(didNotEnd(makeShelf(), 'big')).toBe(false)
})

test('what stands there is not believed blindly', () => {
  for (const odd of ['{', '5', '{"a":1}', 'null']) {
    kept.set('kite-shelf-opening', odd)
    expect(didNotEnd(makeShelf(), 'a')).toBe(false)
  }
})

test('large is what has much text, wherever it stands', () => {
  expect(isLarge({ markdown: 'x'.repeat(300_000) })).toBe(true)
  expect(isLarge({ rows: Array.from({ length: 5000 }, () => ['x'.repeat(50)]) })).toBe(true)
  expect(isLarge({ text: 'short', more: null, n: 5 })).toBe(false)
})
