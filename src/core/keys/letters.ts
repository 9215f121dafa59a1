import munkres from 'munkres'
import type { Desktop } from '@/core/model/types'

/** Letters that stand for desktops. X and Z are verbs. */
export const CALL_LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWY']

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
 * assignment of free letters with the greatest total fit; exact (Hungarian method, Kuhn 1955). With
 * more than 24 desktops some have none (null).
 *
 * @returns desktop id → letter
 */
export function callLetters(desktops: Lettered[]): Record<string, string | null> {
  const result: Record<string, string | null> = {}
  const taken = new Set<string>()
  const without: Lettered[] = []
  for (const desktop of desktops) {
    result[desktop.id] = null
    if (desktop.letter && !taken.has(desktop.letter)) {
      result[desktop.id] = desktop.letter
      taken.add(desktop.letter)
    } else without.push(desktop)
  }
  const letters = CALL_LETTERS.filter((letter) => !taken.has(letter))
  if (without.length === 0 || letters.length === 0) return result
  // Among equals the earlier letter of the alphabet, so that the result is always the same.
  const costs = without.map(({ name }) =>
    letters.map((letter, column) => 100 - suits(letter, name) + column * 1e-7),
  )
  for (const [row, column] of munkres(costs)) {
    const desktop = without[row]
    if (desktop) result[desktop.id] = letters[column] ?? null
  }
  return result
}

/** A free letter that suits a desktop better than the one it has, or null. */
export function betterLetter(desktops: Lettered[], { id, name, letter }: Lettered): string | null {
  const taken = new Set(desktops.map((other) => (other.id === id ? null : other.letter)))
  const worth = (one: string) => suits(one, name)
  const [best] = CALL_LETTERS.filter((one) => !taken.has(one)).sort((a, b) => worth(b) - worth(a))
  return letter && best && worth(best) > worth(letter) ? best : null
}
