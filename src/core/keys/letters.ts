import munkres from 'munkres'
import type { Desktop } from '@/core/model/kinds/desktop'

/** Letters that can stand for desktops by themselves. X and Z are verbs. */
export const CALL_LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWY']

/** Begins what is said of this desktop or window; a desktop has it only when the person wants so. */
export const THIS_LETTER = 'J'

/** Stands for a new desktop; a desktop has it only when the person wants so. */
export const NEW_LETTER = 'N'

/** Begins letters of two strokes, where the alphabet does not reach; given to no desktop by itself. */
export const TWO_LETTER = 'Y'

/** Letters that desktops are given without being asked. */
const GIVEN = CALL_LETTERS.filter(
  (letter) => ![THIS_LETTER, NEW_LETTER, TWO_LETTER].includes(letter),
)

/** The strokes of a letter: one, or two with a space between. */
export const strokesOfLetter = (letter: string): string => [...letter].join(' ')

/**
 * What a person wants as a call letter, as it is kept: one letter of any alphabet but X and Z, or two
 * letters after each other. @returns null where it cannot be one
 */
export function asLetter(wanted: string): string | null {
  const typed = wanted.replace(/\s+/g, '').normalize('NFC')
  const letters = typed.toLocaleUpperCase('en')
  // Some letters become two as capitals.
  return letters.length === typed.length && /^(?![XZ])\p{Lu}([A-Z])?$/u.test(letters)
    ? letters
    : null
}

/**
 * How well a letter suits a name: initial of the first word 8, of another word 6, another
 * letter of the name 3 falling to 1 with its position, any other letter 0.
 */
export function suits(letter: string, name: string): number {
  const plain = name.normalize('NFD').replace(/\p{M}/gu, '').toUpperCase()
  const words = plain.split(/[^\p{L}\p{N}]+/u).filter(Boolean)
  const initial = words.findIndex((word) => word.startsWith(letter))
  if (initial === 0) return 8
  if (initial > 0) return 6
  const letters = words.join('')
  const at = letters.indexOf(letter)
  if (at < 0) return 0
  return 3 - (2 * at) / Math.max(1, letters.length - 1)
}

type Lettered = Pick<Desktop, 'id' | 'name' | 'letter'>

/**
 * Call letters for desktops. One that has a letter keeps it: it is known by it. The others get the
 * assignment of free letters with the greatest total fit; exact (Hungarian method, Kuhn 1955). Beyond
 * the alphabet letters are of two strokes. None (null) is left only where a desktop has each letter
 * that could begin one.
 *
 * @returns desktop id → letter
 */
export function callLetters(desktops: Lettered[]): Record<string, string | null> {
  const result: Record<string, string | null> = {}
  const taken = new Set<string>()
  let without: Lettered[] = []
  for (const desktop of desktops) {
    result[desktop.id] = null
    if (desktop.letter && !taken.has(desktop.letter)) {
      result[desktop.id] = desktop.letter
      taken.add(desktop.letter)
    } else without.push(desktop)
  }
  const give = (letters: string[]) => {
    Object.assign(result, assign(without, letters))
    without = without.filter(({ id }) => result[id] === null)
  }
  const begun = new Set([...taken].filter(({ length }) => length > 1).map(([first]) => first))
  give(GIVEN.filter((letter) => !taken.has(letter) && !begun.has(letter)))
  const used = new Set(Object.values(result))
  const first = [TWO_LETTER, THIS_LETTER, ...GIVEN].find((letter) => !used.has(letter))
  if (first) give(CALL_LETTERS.map((second) => first + second).filter((two) => !used.has(two)))
  return result
}

/** The assignment of letters with the greatest total fit, by what they end in. */
function assign(desktops: Lettered[], letters: string[]): Record<string, string> {
  if (desktops.length === 0 || letters.length === 0) return {}
  // Among equals the earlier letter of the alphabet, so that the result is always the same.
  const costs = desktops.map(({ name }) =>
    letters.map((letter, column) => 100 - suits(letter.slice(-1), name) + column * 1e-7),
  )
  const found: Record<string, string> = {}
  for (const [row, column] of munkres(costs)) {
    const [desktop, letter] = [desktops[row], letters[column]]
    if (desktop && letter) found[desktop.id] = letter
  }
  return found
}

/**
 * All letters dealt again but those the person chose, as if no desktop had been known by another.
 * @returns desktop id → letter
 */
export const dealtAgain = (desktops: (Lettered & Pick<Desktop, 'letterByHand'>)[]) =>
  callLetters(
    desktops.map(({ id, name, letter, letterByHand }) => ({
      id,
      name,
      letter: letterByHand ? letter : null,
    })),
  )

/** A free letter that suits a desktop better than the one it has, or null. */
export function betterLetter(desktops: Lettered[], { id, name, letter }: Lettered): string | null {
  const taken = new Set(desktops.map((other) => (other.id === id ? null : other.letter)))
  const worth = (one: string) => suits(one, name)
  const [best] = GIVEN.filter((one) => !taken.has(one)).sort((a, b) => worth(b) - worth(a))
  return letter && best && worth(best) > worth(letter) ? best : null
}
