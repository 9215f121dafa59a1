import type { Stretch } from '@/core/journal/time'
import type { DesktopId } from '@/core/model/ids'
import type { Block } from '@/core/model/kinds/block'
import { inOrder } from './plan'

/** What was planned for a desktop and what was done on it, in milliseconds. */
export interface Compared {
  desktop: DesktopId
  planned: number
  done: number
  /** How much of what was planned was done in its time. */
  kept: number
}

/**
 * What was planned and what was done, side by side: for each desktop of either, the most planned first.
 * What is skipped is not planned; of a block only what lies between the two moments counts.
 */
export function compared(
  blocks: readonly Block[],
  stretches: readonly Stretch[],
  from: number,
  until: number,
): Compared[] {
  const by = new Map<DesktopId, Compared>()
  const of = (desktop: DesktopId): Compared => {
    const found = by.get(desktop) ?? { desktop, planned: 0, done: 0, kept: 0 }
    by.set(desktop, found)
    return found
  }
  for (const { desktop, start, end } of stretches) of(desktop).done += end - start
  for (const planned of joined(blocks, from, until)) {
    of(planned.desktop).planned += planned.end - planned.start
    for (const stretch of stretches)
      if (stretch.desktop === planned.desktop) of(planned.desktop).kept += shared(planned, stretch)
  }
  return [...by.values()].sort((a, b) => b.planned - a.planned || b.done - a.done)
}

const shared = (a: Omit<Stretch, 'desktop'>, b: Omit<Stretch, 'desktop'>): number =>
  Math.max(0, Math.min(a.end, b.end) - Math.max(a.start, b.start))

/** What is planned between two moments; blocks of one desktop that overlap are one. */
function joined(blocks: readonly Block[], from: number, until: number): Stretch[] {
  const all: Stretch[] = []
  for (const { desktop, start, end, skipped } of inOrder(blocks)) {
    const cut = { desktop, start: Math.max(start, from), end: Math.min(end, until) }
    if (skipped || cut.end <= cut.start) continue
    const before = all.findLast((one) => one.desktop === desktop)
    if (before && before.end >= cut.start) before.end = Math.max(before.end, cut.end)
    else all.push(cut)
  }
  return all
}
