import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { spell } from '@/core/journal/words'
import { DesktopName } from '@/parts/DesktopName'
import { timeOfDay } from '@/parts/Facts'
import { Keys } from '@/parts/Keys'
import { inWords, type LogLine } from './lines'

/** The height of a line, in CSS pixels. */
const HIGH = 29

/** The day in lines, one for each time on a desktop; walked by arrows. Only those in sight are drawn. */
export function Lines({
  lines,
  dated,
  chosen,
  onChoose,
  onStrike,
}: {
  lines: readonly LogLine[]
  /** Whether they are of several days. */
  dated: boolean
  chosen: number | undefined
  onChoose(start: number): void
  /** Strikes a line for good. */
  onStrike(line: LogLine): void
}) {
  const scroller = useRef<HTMLDivElement>(null)
  /** The beginning of the line that takes the keys once it is drawn. */
  const next = useRef<number | null>(null)
  const at = Math.max(
    0,
    lines.findIndex(({ start }) => start === chosen),
  )
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => HIGH,
    overscan: 8,
    initialRect: { width: 700, height: 400 },
    // The one with the keys keeps them, wherever the others are scrolled to.
    rangeExtractor: (range) =>
      [...new Set([at, ...defaultRangeExtractor(range)])].sort((a, b) => a - b),
  })
  // biome-ignore lint/correctness/useExhaustiveDependencies: another one that is chosen comes into sight
  useEffect(() => {
    if (chosen !== undefined) rows.scrollToIndex(at)
  }, [chosen])
  // A line that was asked to be struck: the next time it is.
  const [sure, setSure] = useState<number | null>(null)
  const go = (to: number) => {
    const line = lines[to]
    if (!line || line.start === chosen) return
    next.current = line.start
    onChoose(line.start)
  }
  const strike = (line: LogLine) => {
    if (sure !== line.start) return setSure(line.start)
    // The keys go on where it was.
    const place = lines.indexOf(line)
    go(place < lines.length - 1 ? place + 1 : place - 1)
    setSure(null)
    onStrike(line)
  }
  const walk = (event: KeyboardEvent) => {
    const struck = lines[at]
    if (event.key === 'Delete' && struck) {
      event.preventDefault()
      strike(struck)
      return
    }
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: lines.length - 1 }[event.key]
    if (to === undefined) return
    event.preventDefault()
    go(to)
  }
  return (
    <div ref={scroller} className="min-h-0 overflow-y-auto">
      <ol
        aria-label="Lines of the log"
        className="relative"
        style={{ height: rows.getTotalSize() }}
        onKeyDown={walk}
      >
        {rows.getVirtualItems().map(({ index: place, start: top }) => {
          const line = lines[place]
          if (!line) return null
          const { desktop, start, end } = line
          return (
            <li
              key={start}
              aria-setsize={lines.length}
              aria-posinset={place + 1}
              className="absolute inset-x-0 flex items-center border-seam border-b border-dashed"
              style={{ top, height: HIGH }}
            >
              <button
                type="button"
                ref={(button) => {
                  if (!button || next.current !== start) return
                  next.current = null
                  button.focus()
                }}
                data-line=""
                data-autofocus={place === at ? '' : undefined}
                tabIndex={place === at ? 0 : -1}
                aria-current={line.start === chosen ? 'true' : undefined}
                className={`flex min-w-0 flex-1 items-center gap-3 px-2 py-1 text-left text-[13px] ${line.start === chosen ? 'bg-ink/8' : 'hover:bg-ink/4'}`}
                onClick={() => onChoose(start)}
              >
                {dated ? (
                  <span className="w-14 shrink-0 text-[12px] text-soft">{shortDay(start)}</span>
                ) : null}
                <time className="w-12 shrink-0 font-mono text-[12px]">{timeOfDay(start)}</time>
                <span className="w-40 shrink-0">
                  <DesktopName id={desktop} className="font-semibold" />
                </span>
                <span className="w-20 shrink-0 text-right tabular-nums">
                  {lengthOf(end - start)}
                </span>
                <span className="min-w-0 truncate text-soft">{inWords(line)}</span>
              </button>
              {line.start === chosen ? (
                <button
                  type="button"
                  tabIndex={-1}
                  className={`shrink-0 px-2 text-[12px] underline decoration-dashed ${sure === start ? 'font-semibold text-alarm' : 'text-soft hover:text-ink'}`}
                  onClick={() => strike(line)}
                >
                  {sure === start ? 'Delete for good' : 'Delete'} <Keys keys="Delete" />
                </button>
              ) : null}
            </li>
          )
        })}
      </ol>
    </div>
  )
}

/** “Mon 30”. */
export const shortDay = (at: number): string =>
  new Date(at).toLocaleDateString('en', { weekday: 'short', day: 'numeric' })

/** A stretch of milliseconds in words; less than a minute in seconds. */
export const lengthOf = (time: number): string =>
  time < 60_000 ? `${Math.round(time / 1000)} s` : spell(Math.round(time / 60_000))
