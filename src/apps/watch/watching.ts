import type { WatchContent } from './content'

/** How it stands with what is watched. */
export interface Watching {
  /** Whether it has changed and not been still for long enough since. */
  moves: boolean
  /** When it changed last, or was first looked at, in milliseconds since 1970. */
  last: number
}

/** Without a time of stillness to be told, what does not change for so long is still, in seconds. */
const STILL = 3

/** At first it counts as moving: what one has just chosen one sees for oneself. */
export const begun = (at: number): Watching => ({ moves: true, last: at })

/**
 * What to make of one look.
 * @param changed whether it looks otherwise than at the last look
 * @param at when that was, in milliseconds since 1970
 * @returns how it stands now, and what is told: each change and each stillness once
 */
export function looked(
  { moves, last }: Watching,
  changed: boolean,
  at: number,
  wants: Pick<WatchContent, 'changes' | 'still'>,
): { now: Watching; tells: 'changed' | 'still' | null } {
  if (changed)
    return { now: { moves: true, last: at }, tells: !moves && wants.changes ? 'changed' : null }
  const over = moves && at - last >= (wants.still || STILL) * 1000
  return {
    now: { moves: moves && !over, last },
    tells: over && wants.still > 0 ? 'still' : null,
  }
}
