import { useEffect, useMemo, useState } from 'react'
import type { State } from '@/core/model/state'
import { type Stretch, stateAt, stretchAt } from '@/core/past/past'
import { logged } from '@/store/faults'
import { pastOf } from '@/store/opening/begin'
import { useArrangement, useShelf } from '@/store/useShelf'

/** How the shelf stood on a day. */
export interface PastDay {
  /** When something changed, in order, with what happened. */
  moments: { at: number; say?: string }[]
  /** How it stood at a moment of the day; null where that is not known. */
  at(moment: number): State | null
}

/**
 * How the shelf stood in a span; null while it is read, `elsewhere` where another view keeps it.
 * @param from milliseconds since 1970; so is `until`
 */
export function usePast(from: number, until: number): PastDay | 'elsewhere' | null {
  const shelf = useShelf()
  // What is brought back is a change like any other.
  const now = useArrangement((state) => state)
  const [read, setRead] = useState<{ from: number; stretches: Stretch[] | null } | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another state is a reason to read again
  useEffect(() => {
    let over = false
    void pastOf(shelf, from, until)
      .catch(logged('How the shelf stood', []))
      .then((stretches) => over || setRead({ from, stretches }))
    return () => {
      over = true
    }
  }, [shelf, from, until, now])
  return useMemo(() => {
    if (read?.from !== from) return null
    const { stretches } = read
    if (!stretches) return 'elsewhere'
    const moments = stretches.flatMap(({ at, changes }) => [{ at }, ...changes])
    return {
      moments: moments.filter(({ at }) => at >= from && at < until),
      at(moment) {
        const stretch = stretchAt(stretches, moment)
        return stretch ? stateAt(stretch, moment) : null
      },
    }
  }, [read, from, until])
}
