import { no, type Refusal, type Result } from '@/core/commands/command'
import { clamp } from '@/core/geometry/rect'
import type { Desktop } from '@/core/model/kinds/desktop'

/** How far a key moves the divider of a pair, as a share of the width. */
export const DIVIDER_STEP = 0.05

const divided = (now: number, to: number | undefined, by: number | undefined): number =>
  Math.round(clamp(to ?? now + (by ?? 0), 0.2, 0.8) * 1000) / 1000

/** Moves the divider of a pair to a share of the width, or by one. */
export function divideAt(
  pair: Desktop,
  to: number | undefined,
  by: number | undefined,
): Result | Refusal {
  const { divider = 0.5 } = pair
  const next = divided(divider, to, by)
  if (next === divider) return no('The divider goes from 20 to 80 %.')
  pair.divider = next
  return { say: `Divided at ${Math.round(pair.divider * 100)} %` }
}
