import { desktopOf, type Running, stopName } from '@/core/runs/runs'
import { timeOfDay } from '@/parts/Facts'
import { Kite } from '@/parts/Kite'
import { useTime } from '@/store/clock'
import { useArrangement } from '@/store/useShelf'

/** What is to be said at the stop a run is at, what comes next, and the time. */
export function NotesOf({ running }: { running: Running }) {
  const { stop, next, nth, of } = running
  const name = useArrangement((state) => stopName(state, stop))
  const lives = useArrangement((state) => state.desktops[desktopOf(state, stop)])
  const after = useArrangement((state) => (next ? stopName(state, next) : null))
  return (
    <div className="flex flex-col gap-2">
      <header className="flex items-center gap-2">
        <Kite hue={lives?.hue ?? 'slate'} letter={lives?.letter ?? null} filled width={20} />
        <b dir="auto" className="min-w-0 flex-1 truncate font-display text-[16px]" title={name}>
          {name}
        </b>
        <span className="shrink-0 font-mono text-[12px] text-soft">
          {nth} of {of}
        </span>
      </header>
      <p dir="auto" className="min-h-6 whitespace-pre-wrap text-[15px]">
        {stop.notes || <span className="text-soft">No notes here.</span>}
      </p>
      <footer className="flex items-center gap-3 border-seam border-t border-dashed pt-2 text-soft">
        <span className="min-w-0 flex-1 truncate" dir="auto" title={after ?? undefined}>
          {after === null ? 'This is the last stop.' : `next: ${after}`}
        </span>
        <Since since={running.since} />
      </footer>
    </div>
  )
}

/** How long the run goes on, and the time of day. */
function Since({ since }: { since: number }) {
  const now = useTime(1000)
  const seconds = Math.max(0, Math.floor((now - since) / 1000))
  return (
    <span className="shrink-0 font-mono text-[13px] tabular-nums">
      {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')} · {timeOfDay(now)}
    </span>
  )
}
