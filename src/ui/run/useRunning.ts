import { useMemo } from 'react'
import type { State } from '@/core/model/state'
import { type Running, runningNow } from '@/core/runs/runs'
import { useArrangement, useList, usePage, useShelf } from '@/store/useShelf'
import { largeId } from '@/ui/area/area'
import { useSeat } from '@/ui/area/seat'

/** What decides what a run shows: nothing is drawn anew for anything else. */
const parts = ({ running, runs, desktops, windows }: State) =>
  running ? [running, runs, desktops, windows] : []

/** The run that goes on, or null. */
export function useRunning(): Running | null {
  const shelf = useShelf()
  const of = useList(parts)
  // biome-ignore lint/correctness/useExhaustiveDependencies: other parts are the reason to look again
  return useMemo(() => runningNow(shelf.state()), [shelf, of])
}

/** Whether this page is the one that shows the run; its frame gives way to it. */
export function useRunsHere(): boolean {
  const on = useArrangement((state) => runningNow(state)?.display ?? null)
  const large = useArrangement(largeId)
  const { fixed } = useSeat()
  const elsewhere = usePage((now) => now.elsewhere)
  if (on === null) return false
  return on === large || (!fixed && !elsewhere.includes(on))
}
