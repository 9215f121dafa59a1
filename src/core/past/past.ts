import { initialState } from '@/core/model/initial'
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

/** What comes and goes by itself, and is nothing that stands in the loft, where there is nothing of it. */
const NOTHING_PASSING = (({ attention, answering, running, guide }) => ({
  attention,
  answering,
  running,
  guide,
}))(initialState())

/** What is worth keeping of a change; null where that is nothing. */
export function worthKeeping(changes: Changes): Changes | null {
  const parts = { ...changes.parts }
  for (const part of Object.keys(NOTHING_PASSING) as (keyof State)[]) delete parts[part]
  const some =
    changes.moved || Object.keys(parts).length > 0 || Object.keys(changes.objects).length > 0
  return some ? { ...changes, parts } : null
}

/**
 * The shelf at a moment of a stretch, without what comes and goes by itself: of what changed in the same
 * millisecond, all is in it.
 */
export function stateAt({ state, changes }: Stretch, moment: number): State {
  const stood = changes
    .filter(({ at }) => at <= moment)
    .reduce<unknown>((before, { changes: made }) => withChanges(before, made), state)
  return { ...(stood as State), ...NOTHING_PASSING }
}

/** The stretch a moment lies in: the last that had begun; undefined before the first. */
export const stretchAt = <S extends Pick<Stretch, 'at'>>(
  stretches: readonly S[],
  moment: number,
): S | undefined => stretches.findLast(({ at }) => at <= moment)

/** A moment at which something was done, in words; without them, the beginning or the end. */
export type Moment = Pick<PastChange, 'at' | 'say'>

/**
 * The moments of a span, in order: when something was done, how it stood before that, and at the end,
 * whatever changed. Where one was and what had the focus is not gone through one by one.
 * @param stretches in order
 * @param from milliseconds since 1970; `until` the first that does not belong to it
 */
export function momentsOf(stretches: readonly Stretch[], from: number, until: number): Moment[] {
  const all = stretches
    .flatMap(({ at, changes }, nth): Moment[] => (nth > 0 ? [...changes] : [{ at }, ...changes]))
    .filter(({ at }) => at >= from && at < until)
  return all.filter(({ say }, nth) => say || nth === 0 || nth === all.length - 1)
}

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
