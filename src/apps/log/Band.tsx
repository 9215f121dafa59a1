import type { JournalEvent } from '@/core/journal/events'
import type { Stretch } from '@/core/journal/time'
import { desktopName } from '@/core/journal/words'
import type { Block } from '@/core/model/kinds/block'
import { timeOfDay } from '@/parts/Facts'
import { useArrangement } from '@/store/useShelf'

const WHOLE = 3_600_000

/** The hours of the day that a band shows at least. */
const FROM = 6
const UNTIL = 18

/** The hours that have room for all that is to be shown, of stretches in order. */
export function hoursFor(
  days: readonly { midnight: number; stretches: readonly Stretch[] }[],
): [from: number, until: number] {
  let [from, until] = [FROM, UNTIL]
  for (const { midnight, stretches } of days) {
    const [first, last] = [stretches[0], stretches.at(-1)]
    if (first) from = Math.min(from, Math.floor((first.start - midnight) / WHOLE))
    if (last) until = Math.max(until, Math.ceil((last.end - midnight) / WHOLE))
  }
  return [Math.max(0, from), Math.min(24, until)]
}

/**
 * A day from morning to evening: above what was planned, below where one was, desktop by desktop in
 * their hues, and what asked for attention. What it shows is told by the lines below it.
 */
export function Band({
  midnight,
  hours: [from, until],
  stretches,
  blocks,
  events,
  chosen,
  low,
  onChoose,
}: {
  midnight: number
  hours: [from: number, until: number]
  stretches: readonly Stretch[]
  blocks: readonly Block[]
  events: readonly JournalEvent[]
  /** The beginning of the stretch that is chosen. */
  chosen?: number | undefined
  /** Whether it is one of several. */
  low: boolean
  onChoose(start: number): void
}) {
  const desktops = useArrangement((state) => state.desktops)
  const share = (at: number) =>
    Math.max(0, Math.min(1, ((at - midnight) / WHOLE - from) / (until - from))) * 100
  const place = (start: number, end: number) => ({
    left: `${share(start)}%`,
    width: `max(1px, ${share(end) - share(start)}%)`,
  })
  const hueOf = (id: string) => `hue-${desktops[id]?.hue ?? 'slate'}`
  return (
    <div
      aria-hidden
      className={`relative border border-seam bg-ground/60 ${low ? 'h-10' : 'h-14'}`}
    >
      {Array.from({ length: until - from }, (_, at) => from + at).map((hour) => (
        <span
          key={hour}
          className="pointer-events-none absolute inset-y-0 border-seam border-l border-dashed pl-0.5 font-mono text-[9px] text-soft leading-none"
          style={{ left: `${share(midnight + hour * WHOLE)}%` }}
        >
          {hour % 2 === 0 ? hour : ''}
        </span>
      ))}
      {blocks.map(({ id, desktop, start, end, title }) => (
        <span
          key={id}
          title={`planned: ${title ?? desktops[desktop]?.name}`}
          className={`absolute top-[11px] h-1.5 border border-hue ${hueOf(desktop)}`}
          style={place(start, end)}
        />
      ))}
      {stretches.map(({ desktop, start, end }) => (
        // biome-ignore lint/a11y/useKeyWithClickEvents: by key the lines below are walked
        // biome-ignore lint/a11y/noStaticElementInteractions: the same
        <span
          key={start}
          title={`${desktopName({ desktops }, desktop)}, ${timeOfDay(start)}–${timeOfDay(end)}`}
          className={`absolute top-5 bottom-1 bg-hue ${hueOf(desktop)} ${chosen === start ? 'z-10 outline-2 outline-ink outline-offset-1' : ''}`}
          style={place(start, end)}
          onClick={() => onChoose(start)}
        />
      ))}
      {events
        .filter(({ kind }) => kind === 'asks')
        .map(({ at }) => (
          <span
            key={at}
            title={`${timeOfDay(at)}: needed attention`}
            className="absolute top-[15px] h-1.5 w-[3px] bg-alarm"
            style={{ left: `${share(at)}%` }}
          />
        ))}
    </div>
  )
}
