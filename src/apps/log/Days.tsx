import { useMemo } from 'react'
import type { Figures as Given } from '@/core/insight/figures'
import { stretchesOf } from '@/core/journal/time'
import { Bands } from './Bands'
import { Figures } from './Figures'
import { Lines } from './Lines'
import { linesOf } from './lines'
import type { LoggedDay } from './useSpan'

/** A band for each day, the lines of them, and the figures. */
export function Days({
  span,
  figures,
  before,
  compares,
  onCompare,
  chosen,
  onChoose,
  onStrike,
  onStrikeApp,
}: {
  span: readonly LoggedDay[]
  figures: Given
  /** Those of the period before, where they are compared. */
  before: Given | null
  compares: boolean
  onCompare(on: boolean): void
  chosen: number | undefined
  onChoose(start: number): void
  onStrike(from: number, until: number): void
  onStrikeApp(app: string): void
}) {
  const days = useMemo(
    () =>
      span
        .filter(({ events }, at) => events.length > 0 || at === span.length - 1)
        .map((day) => ({ ...day, stretches: stretchesOf(day.events, day.midnight, day.until) })),
    [span],
  )
  const lines = useMemo(() => span.flatMap(linesOf), [span])
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_300px] gap-6 @max-[760px]:grid-cols-1 @max-[760px]:overflow-y-auto">
      <div className="flex min-h-0 flex-col gap-2 @max-[760px]:h-80">
        <Bands days={days} dated={span.length > 1} chosen={chosen} onChoose={onChoose} />
        <Lines
          lines={lines}
          dated={span.length > 1}
          chosen={chosen}
          onChoose={onChoose}
          onStrike={({ start, end }) => onStrike(start, end)}
        />
      </div>
      <Figures
        figures={figures}
        before={before}
        compares={compares}
        onCompare={onCompare}
        onStrikeApp={onStrikeApp}
      />
    </div>
  )
}
