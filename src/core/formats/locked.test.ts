import fc from 'fast-check'
import { BadLockedFile, isLocked, lock, unlock, WrongPhrase } from './locked'

const QUICK = 2

test('what was locked is opened by its phrase alone, whatever is in it', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.string({ unit: 'grapheme' }),
      fc.string({ unit: 'grapheme', minLength: 1 }),
      fc.string({ unit: 'grapheme' }),
      async (text, phrase, other) => {
        const locked = await lock(text, phrase, QUICK)
        expect(isLocked(locked)).toBe(true)
        expect(await unlock(locked, phrase)).toBe(text)
        if (other.normalize('NFC') === phrase.normalize('NFC')) return
        await expect(unlock(locked, other)).rejects.toThrow(WrongPhrase)
      },
    ),
    { numRuns: 60 },
  )
})

test('letters that are written in another way are the same phrase', async () => {
  const locked = await lock('snow', 'Überhang', QUICK)
  expect(await unlock(locked, 'Überhang')).toBe('snow')
})

test('nothing of the text is in the file, and the same is never locked the same way', async () => {
  const text = 'the notes of the hut'.repeat(50)
  const [one, other] = [await lock(text, 'phrase', QUICK), await lock(text, 'phrase', QUICK)]
  expect(one).not.toContain('notes')
  expect(one).not.toBe(other)
})

test('one letter that is changed anywhere is noticed', async () => {
  const locked = await lock('snow on the ridge', 'phrase', QUICK)
  const file = JSON.parse(locked)
  for (const field of ['data', 'iv', 'salt']) {
    const letters: string = file[field]
    const changed = { ...file, [field]: (letters[0] === 'A' ? 'B' : 'A') + letters.slice(1) }
    await expect(unlock(JSON.stringify(changed), 'phrase')).rejects.toThrow(WrongPhrase)
  }
})

test('what is no locked file, or asks for too much, is told', async () => {
  const file = JSON.parse(await lock('snow', 'phrase', QUICK))
  for (const wrong of [
    '{',
    JSON.stringify({ ...file, rounds: 1e12 }),
    JSON.stringify({ ...file, rounds: 0.5 }),
    JSON.stringify({ ...file, version: 2 }),
    JSON.stringify({ ...file, data: '*' }),
    JSON.stringify({ ...file, salt: undefined }),
  ])
    await expect(unlock(wrong, 'phrase')).rejects.toThrow(BadLockedFile)
  expect(isLocked('{"format": "kite-shelf"}')).toBe(false)
  expect(isLocked('text')).toBe(false)
})
