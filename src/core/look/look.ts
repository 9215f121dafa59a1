import type { Desktop } from '@/core/model/kinds/desktop'
import type { Look, Sign } from '@/core/model/kinds/look'

/** The parts a look has; each can be copied by itself. */
export const LOOK_PARTS = ['hue', 'emblem', 'backdrop', 'sign'] as const
export type LookPart = (typeof LOOK_PARTS)[number]

/** A sign as it is at first. Strong enough to be read on every backdrop of ours, on both cloths. */
export const SIGN: Sign = {
  font: 'display',
  size: 64,
  weight: 800,
  colour: 'hue',
  opacity: 90,
  place: 'bottom right',
}

/** How much of its hue the lines of a backdrop have: those seen at once, and the fainter ones. */
export const LINES = { clear: 0.11, faint: 0.05 }

export const signOf = ({ signed }: Pick<Desktop, 'signed'>): Sign => ({ ...SIGN, ...signed })

/** Gives some parts of a look to a desktop. */
export function wear(draft: Desktop, from: Look, parts: readonly LookPart[]): void {
  if (parts.includes('hue')) draft.hue = from.hue
  if (parts.includes('emblem')) put(draft, 'emblem', from.emblem)
  if (parts.includes('backdrop')) {
    draft.backdrop = from.backdrop
    put(draft, 'picture', from.picture && { ...from.picture })
  }
  if (parts.includes('sign')) {
    draft.sign = from.sign
    put(draft, 'signed', from.signed && { ...from.signed })
  }
}

/** What is not set is not there: so a look that was reset is the same as one never changed. */
export function put<K extends 'emblem' | 'picture' | 'signed'>(
  draft: Desktop,
  key: K,
  value: Desktop[K] | undefined,
): void {
  if (value === undefined) delete draft[key]
  else draft[key] = value
}
