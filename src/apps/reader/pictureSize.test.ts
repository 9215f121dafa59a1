import { pictureSize } from './pictureSize'

const bytes = (...parts: (number | string)[]) =>
  Uint8Array.from(
    parts.flatMap((part) =>
      typeof part === 'number' ? [part] : [...part].map((letter) => letter.charCodeAt(0)),
    ),
  )
const PNG = [0x89, 'PNG', 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 'IHDR'] as const

test('a PNG says its size before anything is made of it', () => {
  const png = bytes(...PNG, 0, 0, 0x4e, 0x20, 0, 0, 0x27, 0x10)
  expect(pictureSize(png)).toEqual({ width: 20_000, height: 10_000 })
})

test('a JPEG says it after whatever a camera wrote', () => {
  const written = bytes(0xff, 0xe1, 0, 6, 'ab', 0, 0)
  const frame = bytes(0xff, 0xc2, 0, 11, 8, 0x04, 0x38, 0x07, 0x80, 3, 1, 0, 0)
  const jpeg = Uint8Array.from([0xff, 0xd8, ...written, 0xff, ...frame])
  expect(pictureSize(jpeg)).toEqual({ width: 1920, height: 1080 })
})

test('what says nothing, or is cut off, has no size', () => {
  for (const some of [bytes(), bytes('GIF89a'), bytes(...PNG, 0, 0), bytes(0xff, 0xd8, 0xff, 0xe0)])
    expect(pictureSize(some)).toBeNull()
  expect(pictureSize(bytes(0xff, 0xd8, 0, 1, 2, 3, 4, 5, 6, 7, 8, 9))).toBeNull()
})
