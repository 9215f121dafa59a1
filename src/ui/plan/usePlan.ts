import { useEffect, useState } from 'react'
import { planChangesAt } from '@/core/plan/plan'
import { useArrangement, useShelf } from '@/store/useShelf'

/** The longest one timer waits, in milliseconds. */
const LONGEST = 60 * 60_000

/** The time, looked at again when what is planned changes: a block begins or ends. */
export function usePlanTime(): number {
  const shelf = useShelf()
  const plan = useArrangement((state) => state.plan)
  const [now, setNow] = useState(() => Date.now())
  // biome-ignore lint/correctness/useExhaustiveDependencies: another plan changes at other times
  useEffect(() => {
    const next = planChangesAt(shelf.state().plan, now)
    if (next === null) return
    const timer = setTimeout(() => setNow(Date.now()), Math.min(next - Date.now() + 50, LONGEST))
    return () => clearTimeout(timer)
  }, [plan, now])
  // A laptop that slept wakes later than its timers say.
  useEffect(() => {
    const look = () => setNow(Date.now())
    addEventListener('focus', look)
    return () => removeEventListener('focus', look)
  }, [])
  return Math.max(now, 0)
}
