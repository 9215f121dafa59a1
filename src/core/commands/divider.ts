import { clamp } from '@/core/geometry/rect'
import type { Desktop } from '@/core/model/types'
import { no, type Refusal, type Result } from './command'

/** How far a key moves the divider of a pair, as a share of the width. */
export const DIVIDER_STEP = 0.05

const divided = (now: number, to: number | undefined, by: number | undefined): number =>
  Math.round(clamp(to ?? now + (by ?? 0), 0.2, 0.8) * 1000) / 1000

/** Whether the divider of a pair can be moved to a share of the width, or by one. */
export function divides(
  { divider = 0.5 }: Desktop,
  to: number | undefined,
  by: number | undefined,
): true | Refusal {
  return divided(divider, to, by) !== divider || no('The divider goes from 20 to 80 %.')
}

/** Moves the divider of a pair. */
export function divideAt(pair: Desktop, to: number | undefined, by: number | undefined): Result {
  pair.divider = divided(pair.divider ?? 0.5, to, by)
  return { say: `Divided at ${Math.round(pair.divider * 100)} %` }
}
