import { useEffect, useMemo, useState } from 'react'
import type { JournalEvent } from '@/core/journal/events'
import { type Stretch, stretchesOf } from '@/core/journal/time'
import { atMinute, dayOf } from '@/core/plan/plan'
import { useToday } from '@/store/journal'
import { journalOf } from '@/store/opening/opened'
import { useShelf } from '@/store/useShelf'

/** On which desktops one was on a day, up to now, from the journal. */
export function useDone(day: number, now: number): Stretch[] {
  const shelf = useShelf()
  const today = useToday()
  const [before, setBefore] = useState<readonly JournalEvent[]>([])
  const isToday = dayOf(day) === dayOf(now)
  useEffect(() => {
    if (isToday) return
    let over = false
    setBefore([])
    void journalOf(shelf, day).then((events) => over || setBefore(events))
    return () => {
      over = true
    }
  }, [day, isToday, shelf])
  const events = isToday ? today : before
  return useMemo(() => {
    const midnight = dayOf(day)
    return stretchesOf(events, midnight, Math.min(atMinute(midnight, 24 * 60), now))
  }, [events, day, now])
}
