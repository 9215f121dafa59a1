import { differs, isBlack, SMALL } from './compare'

const { width, height } = SMALL

/** A grey picture with a lighter block in it. */
function picture(grey: number, block?: { x: number; y: number; size: number }): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(width * height * 4).fill(grey)
  if (block)
    for (let y = block.y; y < block.y + block.size; y++)
      for (let x = block.x; x < block.x + block.size; x++)
        pixels.fill(255, (y * width + x) * 4, (y * width + x) * 4 + 4)
  return pixels
}

test('a block that appears is a change; a blinking caret, noise and the same picture are none', () => {
  const before = picture(90)
  expect(differs(before, picture(90, { x: 20, y: 20, size: 6 }))).toBe(true)
  expect(differs(before, picture(90, { x: 20, y: 20, size: 1 }))).toBe(false)
  expect(differs(before, picture(96))).toBe(false)
  expect(differs(before, picture(120))).toBe(true)
  expect(differs(before, before)).toBe(false)
})

test('only the part that is watched counts, and within it less is much', () => {
  const before = picture(90)
  const after = picture(90, { x: 20, y: 20, size: 3 })
  expect(differs(before, after, { x: 0.5, y: 0, width: 0.5, height: 1 })).toBe(false)
  expect(differs(before, after, { x: 0.1, y: 0.1, width: 0.2, height: 0.3 })).toBe(true)
  // However narrow it was drawn.
  expect(differs(before, picture(120), { x: 1, y: 1, width: 0, height: 0 })).toBe(false)
  expect(differs(before, picture(120), { x: 0.5, y: 0.5, width: 0, height: 0 })).toBe(true)
})

test('a black picture shows nothing', () => {
  expect(isBlack(picture(0))).toBe(true)
  expect(isBlack(picture(0, { x: 3, y: 3, size: 1 }))).toBe(false)
})
