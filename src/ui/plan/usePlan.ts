import { useEffect, useState } from 'react'
import { planChangesAt } from '@/core/plan/plan'
import { after } from '@/store/clock'
import { useArrangement, useShelf } from '@/store/useShelf'

/** The longest one timer waits, in milliseconds. */
const LONGEST = 60 * 60_000

/** The time, looked at again when what is planned changes: a block begins or ends. */
export function usePlanTime(): number {
  const shelf = useShelf()
  const plan = useArrangement((state) => state.plan)
  const [now, setNow] = useState(() => shelf.clock())
  // biome-ignore lint/correctness/useExhaustiveDependencies: another plan changes at other times
  useEffect(() => {
    const next = planChangesAt(shelf.state().plan, now)
    if (next === null) return
    const wait = Math.min(next - shelf.clock() + 50, LONGEST)
    return after(shelf, wait, () => setNow(shelf.clock()))
  }, [plan, now])
  // A laptop that slept wakes later than its timers say.
  useEffect(() => {
    const look = () => setNow(shelf.clock())
    addEventListener('focus', look)
    return () => removeEventListener('focus', look)
  }, [shelf])
  return Math.max(now, 0)
}
