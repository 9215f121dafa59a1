import { useEffect, useMemo, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { type Moment, momentsOf, type Stretch, stateAt, stretchAt } from '@/core/past/past'
import { logged } from '@/store/faults'
import { pastOf, versionsOf } from '@/store/opening/opened'
import { useArrangement, useShelf } from '@/store/useShelf'
import { type Version, versionAt } from '@/store/versions'

/** How the shelf stood on a day. */
export interface PastDay {
  moments: Moment[]
  /** How it stood at a moment of the day; null where that is not known. */
  at(moment: number): State | null
  /** What a document said then, where it has changed since. */
  said(document: DocumentId, moment: number): Version | undefined
}

/**
 * How the shelf stood in a span; null while it is read, `elsewhere` where another view keeps it.
 * @param from milliseconds since 1970; so is `until`
 */
export function usePast(from: number, until: number): PastDay | 'elsewhere' | null {
  const shelf = useShelf()
  // What is brought back is a change like any other.
  const now = useArrangement((state) => state)
  const [read, setRead] = useState<{
    from: number
    stretches: Stretch[] | null
    versions: Version[]
  } | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another state is a reason to read again
  useEffect(() => {
    let over = false
    void Promise.all([
      pastOf(shelf, from, until).catch(logged('How the shelf stood', [])),
      versionsOf(shelf).catch(logged('What documents said', [])),
    ]).then(([stretches, versions]) => over || setRead({ from, stretches, versions }))
    return () => {
      over = true
    }
  }, [shelf, from, until, now])
  return useMemo(() => {
    if (read?.from !== from) return null
    const { stretches, versions } = read
    if (!stretches) return 'elsewhere'
    return {
      moments: momentsOf(stretches, from, until),
      at(moment) {
        const stretch = stretchAt(stretches, moment)
        return stretch ? stateAt(stretch, moment) : null
      },
      said: (document, moment) => versionAt(versions, document, moment),
    }
  }, [read, from, until])
}
