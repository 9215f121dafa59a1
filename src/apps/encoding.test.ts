import { runs } from '@testing/runs'
import fc from 'fast-check'
import { bytesOf, readTextFile, saysOf } from './encoding'

const WORDS =
  'Größe der Lawine: über 2 m, naß und schwer. Où étaient les crêtes? Señal.\r\n'.repeat(4)

const read = (bytes: Uint8Array<ArrayBuffer>) => readTextFile(new Blob([bytes]))

test.each([undefined, 'utf-8 with mark', 'utf-16le', 'utf-16be', 'windows-1252'])(
  'a text in %s is read, and goes back as it came',
  async (encoding) => {
    const bytes = bytesOf(WORDS, encoding)
    const found = await read(bytes)
    expect(found).toEqual({ text: WORDS, ...(encoding && { encoding }) })
    expect(bytesOf(found.text, found.encoding)).toEqual(bytes)
  },
)

test('UTF-16 without a mark is found, other letters are guessed, and what is no text is told', async () => {
  const plain = bytesOf(WORDS, 'utf-16be').slice(2)
  expect(await read(plain)).toEqual({ text: WORDS, encoding: 'utf-16be' })
  const russian = 'Снег лежит на склоне, лавина сошла ночью, дорога закрыта до утра. '.repeat(5)
  const found = await read(bytesOf(russian, 'windows-1251'))
  expect(found).toEqual({ text: russian, encoding: 'windows-1251' })
  await expect(read(Uint8Array.from([0x89, 0x50, 0, 1, 2, 0, 0, 9, 0, 3]))).rejects.toThrow(
    'not text',
  )
})

test('letters that an encoding does not have are not lost: the text is UTF-8 then', () => {
  const text = 'naß → 雪'
  expect(new TextDecoder().decode(bytesOf(text, 'windows-1252'))).toBe(text)
  expect(saysOf('windows-1252')).toBe('read as WINDOWS-1252, which exports keep')
  expect(saysOf('shift_jis')).toBe('read as SHIFT_JIS; exports are UTF-8')
})

test('any text in UTF-8 is read as that', async () => {
  await fc.assert(
    fc.asyncProperty(fc.string({ unit: 'binary' }), async (text) => {
      // Zeros are no text, and a mark is not part of one.
      fc.pre(!text.includes('\0') && !text.startsWith('\ufeff'))
      const clean = new TextDecoder().decode(new TextEncoder().encode(text))
      expect(await read(bytesOf(clean, undefined))).toEqual({ text: clean })
    }),
    runs(30),
  )
})
