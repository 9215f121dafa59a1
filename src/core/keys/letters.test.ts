import { runs } from '@testing/runs'
import fc from 'fast-check'
import { asLetter, betterLetter, CALL_LETTERS, callLetters, dealtAgain, suits } from './letters'

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
    runs(200),
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
      expect(given.every((letter) => CALL_LETTERS.includes(letter.slice(-1)))).toBe(true)
      expect(given).toHaveLength(names.length)
      if (names.length > 3) expect(letters.d3).toBe('K')
    }),
  )
})

test('forty desktops are all reached: what the alphabet does not reach has two strokes', () => {
  const desktops = Array.from({ length: 40 }, (_, at) => desktop(`Desk ${at}`, at))
  const letters = Object.values(callLetters(desktops))
  expect(new Set(letters).size).toBe(40)
  const [one, two] = [1, 2].map((length) => letters.filter((letter) => letter?.length === length))
  expect(one).toHaveLength(21)
  expect(one).not.toContain('N')
  expect(one).not.toContain('J')
  expect(two?.every((letter) => letter?.startsWith('Y'))).toBe(true)
})

test('where a desktop has the letter that would begin two strokes another does', () => {
  const desktops = Array.from({ length: 30 }, (_, at) =>
    desktop(`Desk ${at}`, at, at === 0 ? 'Y' : null),
  )
  const letters = Object.values(callLetters(desktops))
  expect(new Set(letters).size).toBe(30)
  expect(letters.filter((letter) => letter?.startsWith('J') && letter.length === 2).length).toBe(8)
})

test('dealt again all get the best letters there are, but those that were chosen', () => {
  const all = [
    { ...desktop('Rota', 0, 'A'), letterByHand: false },
    { ...desktop('Field', 1, 'K'), letterByHand: true },
    { ...desktop('Model', 2, 'E'), letterByHand: false },
  ]
  expect(dealtAgain(all)).toEqual({ d0: 'R', d1: 'K', d2: 'M' })
})

test.each([
  ['b', 'B'],
  ['é', 'É'],
  ['п', 'П'],
  ['ya', 'YA'],
  ['x', null],
  ['za', null],
  ['7', null],
  ['', null],
  ['abc', null],
  ['ß', null],
])('“%s” as a letter: %s', (typed, letter) => {
  expect(asLetter(typed)).toBe(letter)
})
