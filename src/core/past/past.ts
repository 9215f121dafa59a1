import type { State } from '@/core/model/state'
import { type Changes, withChanges } from '@/core/rules/changes'

/** A change of the shelf, with its moment. */
export interface PastChange {
  /** Milliseconds since 1970. */
  at: number
  /** What happened, in words, where it was a step. */
  say?: string
  changes: Changes
}

/** How the shelf stood for a while: as it was at the beginning, and what changed from then on, in order. */
export interface Stretch {
  /** Since when it stood so, in milliseconds since 1970. */
  at: number
  state: State
  changes: readonly PastChange[]
}

/** What comes and goes by itself, and is nothing that stands in the loft. */
const PASSING = ['attention', 'answering', 'running', 'guide'] as const

/** What is worth keeping of a change; null where that is nothing. */
export function worthKeeping(changes: Changes): Changes | null {
  const parts = { ...changes.parts }
  for (const part of PASSING) delete parts[part]
  const some =
    changes.moved || Object.keys(parts).length > 0 || Object.keys(changes.objects).length > 0
  return some ? { ...changes, parts } : null
}

/** The shelf at a moment of a stretch: of what changed in the same millisecond, all is in it. */
export const stateAt = ({ state, changes }: Stretch, moment: number): State =>
  changes
    .filter(({ at }) => at <= moment)
    .reduce<unknown>((before, { changes: made }) => withChanges(before, made), state) as State

/** The stretch a moment lies in: the last that had begun; undefined before the first. */
export const stretchAt = <S extends Pick<Stretch, 'at'>>(
  stretches: readonly S[],
  moment: number,
): S | undefined => stretches.findLast(({ at }) => at <= moment)

/**
 * Stretches that tell nothing of a span: what changed in it has happened at its end, all at once.
 * @param stretches in order
 * @param from milliseconds since 1970, the first that is struck; `until` the first that is not
 */
export function withoutSpan(stretches: readonly Stretch[], from: number, until: number): Stretch[] {
  const last = stretchAt(stretches, until - 1)
  return stretches.flatMap((stretch): Stretch[] => {
    const before = { ...stretch, changes: stretch.changes.filter(({ at }) => at < from) }
    const since = stretch.changes.filter(({ at }) => at >= until)
    const left = stretch.at < from ? [before] : stretch.at >= until ? [stretch] : []
    // How it stood at the end of the span is told again where something of it is left to tell.
    const goesOn = stretch === last && last.at < until && since.length > 0
    return goesOn
      ? [...left, { at: until, state: stateAt(stretch, until - 1), changes: since }]
      : left
  })
}
