import type { State } from '@/core/model/types'
import { type Running, runningNow } from '@/core/run/run'
import { sameItems } from '@/store/same'
import { getState, useArrangement, useList, useShelf } from '@/store/shelf'
import { useSeat } from '@/ui/desktop/seat'

/** What decides what a run shows: nothing is drawn anew for anything else. */
const parts = ({ running, runs, desktops, windows }: State) =>
  running ? [running, runs, desktops, windows] : []

let memo: { of: readonly unknown[]; running: Running | null } | null = null

/** The run that goes on, or null. */
export function useRunning(): Running | null {
  const of = useList(parts)
  if (!memo || !sameItems(memo.of, of)) memo = { of, running: runningNow(getState()) }
  return memo.running
}

/** Whether this page is the one that shows the run; its frame gives way to it. */
export function useRunsHere(): boolean {
  const on = useArrangement((state) => runningNow(state)?.display ?? null)
  const { display, fixed } = useSeat()
  const elsewhere = useShelf((now) => now.elsewhere)
  if (on === null) return false
  return fixed ? on === display : !elsewhere.includes(on)
}
