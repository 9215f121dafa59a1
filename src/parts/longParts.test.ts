import fc from 'fast-check'
import { isLong, partsOf } from './longParts'

test('all parts after each other are the text, none is long, none is empty', () => {
  const piece = fc.oneof(fc.string(), fc.constant('\n'), fc.constant('x'.repeat(9000)))
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 40 }), (pieces) => {
      const text = pieces.join('')
      const parts = partsOf(text)
      expect(parts.join('')).toBe(text)
      for (const part of parts) {
        expect(part.length).toBeGreaterThan(0)
        expect(part.length).toBeLessThanOrEqual(3 * 8000)
        expect(part.split('\n').length).toBeLessThanOrEqual(122)
      }
    }),
  )
})

test('parts end where lines end, as far as lines do', () => {
  const text = Array.from({ length: 500 }, (_, n) => `line ${n}\n`).join('')
  for (const part of partsOf(text)) expect(part.endsWith('\n')).toBe(true)
})

test('a text is long by its length, or by one of its lines', () => {
  const line = 'x'.repeat(20_000)
  expect(isLong(Array(10).fill(line).join('\n'))).toBe(false)
  expect(isLong(`a\n${line}x\nb`)).toBe(true)
  expect(isLong(`a\n${line}x`)).toBe(true)
  expect(isLong(`${line}x`)).toBe(true)
  expect(isLong('a\n'.repeat(150_001))).toBe(true)
  expect(isLong('')).toBe(false)
})
