import fc from 'fast-check'
import { betterLetter, CALL_LETTERS, callLetters, suits } from './letters'

const desktop = (name: string, at: number, letter: string | null = null) => ({
  id: `d${at}`,
  name,
  letter,
})

/** The best total over all assignments of letters to those without, by trying every one. */
function best(names: string[], letters: string[]): number {
  const [first, ...rest] = names
  if (first === undefined) return 0
  let most = best(rest, letters) // without a letter
  for (const letter of letters) {
    const left = letters.filter((other) => other !== letter)
    most = Math.max(most, suits(letter, first) + best(rest, left))
  }
  return most
}

test('a letter suits a name as defined', () => {
  expect(suits('P', 'Public line')).toBe(8)
  expect(suits('L', 'Public line')).toBe(6)
  expect(suits('U', 'Public line')).toBeCloseTo(3 - 2 / 9)
  expect(suits('E', 'Public line')).toBe(1)
  expect(suits('Q', 'Public line')).toBe(0)
  expect(suits('E', 'Été')).toBe(8)
})

test('made one after the other, the desktops of an office get their initials', () => {
  const names = ['Field', 'Model', 'Bulletin', 'Public line', 'Rota', 'Breather']
  const made = names.map((name, at) => desktop(name, at))
  made.forEach((_, at) => {
    const letters = callLetters(made.slice(0, at + 1))
    for (const one of made.slice(0, at + 1)) one.letter = letters[one.id] ?? null
  })
  expect(made.map(({ letter }) => letter)).toEqual(['F', 'M', 'B', 'P', 'R', 'E'])
})

test('the total is the greatest there is', () => {
  const names = fc.array(
    fc.string({ unit: fc.constantFrom(...'ABCDE '), minLength: 1, maxLength: 8 }),
    {
      minLength: 1,
      maxLength: 5,
    },
  )
  fc.assert(
    fc.property(
      names,
      fc.array(fc.constantFrom(null, ...'ABCDE'), { minLength: 5, maxLength: 5 }),
      (list, had) => {
        const desktops = list.map((name, at) => desktop(name, at, had[at] ?? null))
        const letters = callLetters(desktops)
        const kept = new Set<string>()
        const without = desktops.filter(({ letter }) => {
          const keeps = letter !== null && !kept.has(letter)
          if (keeps) kept.add(letter)
          return !keeps
        })
        for (const { id, letter } of desktops)
          if (!without.some((one) => one.id === id)) expect(letters[id]).toBe(letter)
        const total = without.reduce((sum, one) => sum + suits(letters[one.id] ?? '', one.name), 0)
        const free = [...'ABCDE'].filter((letter) => !kept.has(letter))
        expect(total).toBeCloseTo(
          best(
            without.map(({ name }) => name),
            free,
          ),
          3,
        )
      },
    ),
    { numRuns: 200 },
  )
})

test('a better letter is one that is free and suits more', () => {
  const all = [desktop('Field', 0, 'F'), desktop('Kestrel', 1, 'G')]
  const [field, kestrel] = all
  if (!field || !kestrel) throw new Error('no desktops')
  expect(betterLetter(all, kestrel)).toBe('K')
  expect(betterLetter(all, field)).toBeNull()
  expect(betterLetter([...all, desktop('Kiln', 2, 'K')], kestrel)).toBe('E')
})

test('letters stay, the others are distinct, X and Z are never given', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ minLength: 1, maxLength: 9 }), { maxLength: 40 }), (names) => {
      const desktops = names.map((name, at) => desktop(name, at, at === 3 ? 'K' : null))
      const letters = callLetters(desktops)
      const given = Object.values(letters).filter((letter) => letter !== null)
      expect(new Set(given).size).toBe(given.length)
      expect(given.every((letter) => CALL_LETTERS.includes(letter))).toBe(true)
      expect(given).toHaveLength(Math.min(names.length, 24))
      if (names.length > 3) expect(letters.d3).toBe('K')
    }),
  )
})
