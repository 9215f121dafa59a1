import munkres from 'munkres'
import type { Desktop } from '@/core/model/types'

/** Letters that stand for desktops. X and Z are verbs. */
export const CALL_LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWY']

const KEEP = 4

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

/**
 * Call letters for desktops: the assignment of letters to desktops with the greatest total fit,
 * where a letter a desktop already has counts 4 more and letters set by hand are fixed.
 * Exact (Hungarian method, Kuhn 1955). With more than 24 desktops some have none (null).
 *
 * @returns desktop id → letter
 */
export function callLetters(
  desktops: Pick<Desktop, 'id' | 'name' | 'letter' | 'letterByHand'>[],
): Record<string, string | null> {
  const result: Record<string, string | null> = {}
  const fixed = new Set<string>()
  const free: typeof desktops = []
  for (const desktop of desktops) {
    result[desktop.id] = null
    if (desktop.letterByHand && desktop.letter && !fixed.has(desktop.letter)) {
      result[desktop.id] = desktop.letter
      fixed.add(desktop.letter)
    } else free.push(desktop)
  }
  const letters = CALL_LETTERS.filter((letter) => !fixed.has(letter))
  if (free.length === 0 || letters.length === 0) return result
  const costs = free.map(({ name, letter: has }) =>
    letters.map((letter, column) => {
      const weight = suits(letter, name) + (letter === has ? KEEP : 0)
      // Among equals the earlier letter of the alphabet, so that the result is always the same.
      return 100 - weight + column * 1e-7
    }),
  )
  for (const [row, column] of munkres(costs)) {
    const desktop = free[row]
    if (desktop) result[desktop.id] = letters[column] ?? null
  }
  return result
}
