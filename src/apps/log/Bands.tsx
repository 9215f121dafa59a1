import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef } from 'react'
import type { Stretch } from '@/core/journal/time'
import { blocksOf } from '@/core/plan/plan'
import { useArrangement } from '@/store/useShelf'
import { Band, hoursFor } from './Band'
import { shortDay } from './Lines'
import type { LoggedDay } from './useSpan'

/** How high the band of one day is, and that of one of several with the room below it, in CSS pixels. */
const ALONE = 56
const ROW = 44

/** The bands of some days, one below the other; of very many only those in sight are drawn. */
export function Bands({
  days,
  dated,
  chosen,
  onChoose,
}: {
  days: readonly (LoggedDay & { stretches: readonly Stretch[] })[]
  /** Whether they are of a span of several days. */
  dated: boolean
  chosen: number | undefined
  onChoose(start: number): void
}) {
  const plan = useArrangement((state) => state.plan)
  const scroller = useRef<HTMLDivElement>(null)
  const hours = hoursFor(days)
  const rows = useVirtualizer({
    count: days.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => (dated ? ROW : ALONE),
    overscan: 8,
    initialRect: { width: 700, height: 400 },
  })
  const at = days.findIndex(
    ({ midnight, until }) => chosen !== undefined && chosen >= midnight && chosen < until,
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: another day that is chosen comes into sight
  useEffect(() => {
    if (at >= 0) rows.scrollToIndex(at)
  }, [at])
  return (
    <div
      ref={scroller}
      // Scrolled by key.
      tabIndex={0}
      role="group"
      aria-label="Day by day"
      className="max-h-[50%] shrink-0 overflow-y-auto"
    >
      <div className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const day = days[index]
          if (!day) return null
          const { midnight, stretches, events } = day
          return (
            <div
              key={midnight}
              data-band=""
              className="absolute inset-x-0 flex items-center gap-2"
              style={{ top: start }}
            >
              {dated ? (
                <span className="w-14 shrink-0 text-[12px] text-soft">{shortDay(midnight)}</span>
              ) : null}
              <div className="min-w-0 flex-1">
                <Band
                  midnight={midnight}
                  hours={hours}
                  stretches={stretches}
                  blocks={blocksOf(plan, midnight + 12 * 3_600_000)}
                  events={events}
                  chosen={chosen}
                  low={dated}
                  onChoose={onChoose}
                />
              </div>
            </div>
          )
        })}
      </div>
    </div>
  )
}
