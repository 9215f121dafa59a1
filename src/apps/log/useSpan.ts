import { useEffect, useMemo, useState } from 'react'
import type { JournalEvent } from '@/core/journal/events'
import { atMinute, dayOf } from '@/core/plan/plan'
import { useToday } from '@/store/journal'
import { journalOf } from '@/store/opening/opened'
import { useShelf } from '@/store/useShelf'

/** One day of a span, by its midnight, with what happened on it. */
export interface LoggedDay {
  midnight: number
  /** Its end, or now. */
  until: number
  events: readonly JournalEvent[]
}

/**
 * The last days up to one of them, what happened today with them; null while they are read.
 * @param last a moment of the last day
 * @param round counts up when something was struck
 */
export function useSpan(
  last: number,
  days: number,
  now: number,
  round: number,
): LoggedDay[] | null {
  const shelf = useShelf()
  const today = useToday()
  const [read, setRead] = useState<{ of: string; days: readonly JournalEvent[][] } | null>(null)
  const midnights = useMemo(
    () =>
      Array.from({ length: days }, (_, at) =>
        dayOf(atMinute(dayOf(last), (at + 1 - days) * 24 * 60 + 12 * 60)),
      ),
    [last, days],
  )
  const of = midnights.join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was struck is a reason to read again
  useEffect(() => {
    let over = false
    void Promise.all(midnights.map((midnight) => journalOf(shelf, midnight))).then(
      (all) => over || setRead({ of, days: all }),
    )
    return () => {
      over = true
    }
  }, [midnights, of, shelf, round])
  return useMemo(() => {
    if (read?.of !== of) return null
    return midnights.map((midnight, at) => ({
      midnight,
      until: Math.min(atMinute(midnight, 24 * 60), now),
      events: midnight === dayOf(now) ? today : (read.days[at] ?? []),
    }))
  }, [read, of, midnights, today, now])
}
