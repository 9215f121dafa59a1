import { X } from 'lucide-react'
import { appOf } from '@/apps/list'
import { spanInWords } from '@/core/geometry/pad'
import { causeInWords } from '@/core/homes/explain'
import type { JournalEvent } from '@/core/journal/events'
import { eventInWords } from '@/core/journal/words'
import { standsOn } from '@/core/model/displays'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { currentId, focusedWindow, shownFrame, stack, title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { CommandButton } from '@/parts/CommandButton'
import { Fact, HomeFact, timeOfDay } from '@/parts/Facts'
import { Tool } from '@/parts/Tool'
import { useToday } from '@/store/journal'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'

const WIDTH = 272

/** Follows the focused window: where it is and why, and what happened to it today. */
export function Inspector() {
  const shown = useArrangement((state) => state.settings.inspector)
  const covered = usePage(({ loft, view }) => loft || view?.view === 'unstack')
  return shown && !covered ? <Open /> : null
}

function Open() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const window = focusedWindow(state)
  const Glyph = appOf(shelf, window?.app ?? '')?.glyph
  return (
    <section
      aria-label="Inspector"
      className={`absolute bottom-3 z-[2147482900] flex max-h-[70%] flex-col gap-2 overflow-auto border border-ink bg-panel p-3 text-[12.5px] ${side(state, window)}`}
      style={{ width: WIDTH }}
    >
      <h2 className="flex items-center gap-2 font-display font-semibold text-[14.5px]">
        {Glyph ? <Glyph size={15} aria-hidden className="shrink-0" /> : null}
        <span className="min-w-0 flex-1 truncate" {...(window && { title: title(state, window) })}>
          {window ? title(state, window) : 'No window has the focus'}
        </span>
        <Tool label="Hide the inspector" onClick={() => shelf.dispatch('shelf.inspector')}>
          <X size={14} />
        </Tool>
      </h2>
      {window ? <About state={state} window={window} /> : null}
    </section>
  )
}

function About({ state, window }: { state: State; window: Window }) {
  const { x, y, width, height } = shownFrame(state, window)
  const name = (id: string) => (id === EVERY ? 'every desktop' : (state.desktops[id]?.name ?? ''))
  const all = stack(state, currentId(state))
  return (
    <>
      <dl className="grid grid-cols-[64px_1fr] gap-y-0.5">
        <Fact name="on">{name(window.desktop)}</Fact>
        <Fact name="display">{state.displays[standsOn(state, window)]?.name}</Fact>
        <Fact name="frame">
          {width} × {height} at {x}, {y}
        </Fact>
        {window.placed ? <Fact name="placed">{spanInWords(window.placed)}</Fact> : null}
        <Fact name="stack">
          {all.indexOf(window) + 1} of {all.length}
        </Fact>
        <Fact name="home">
          <HomeFact id={window.id} />
        </Fact>
        <Fact name="opened">{timeOfDay(window.openedAt)}</Fact>
      </dl>
      <p className="text-soft">{causeInWords(state, window)}</p>
      <History state={state} id={window.id} />
      <CommandButton command="window.why" label="why here?" />
    </>
  )
}

/** How many of the latest events are listed. */
const LATEST = 6

function History({ state, id }: { state: State; id: string }) {
  // That one came to it by going to its desktop is no news of it.
  const events = useToday().filter(({ window, kind }) => window === id && kind !== 'switch')
  const told = events.filter((event, at) => !repeated(event, events[at + 1])).slice(-LATEST)
  if (told.length === 0) return null
  return (
    <ol aria-label="Today" className="border-seam border-t-[1.5px] border-dashed pt-2">
      {told.toReversed().map((event) => (
        <li key={`${event.at} ${event.kind}`} className="flex gap-2.5">
          <time className="shrink-0 font-mono text-[11px] text-soft leading-[1.6]">
            {timeOfDay(event.at)}
          </time>
          {eventInWords(event, state)}
        </li>
      ))}
    </ol>
  )
}

/** Of coming to the front several times the last is told. */
const repeated = (event: JournalEvent, next: JournalEvent | undefined) =>
  event.kind === 'focus' && next?.kind === 'focus'

/** It stands in the corner that the focused window leaves free, at the right when both are. */
function side(state: State, window: Window | undefined): string {
  if (!window) return 'right-3'
  const area = state.displays[standsOn(state, window)]?.width ?? 0
  const { x, width } = shownFrame(state, window)
  const right = Math.max(0, x + width - (area - WIDTH - 12))
  const left = Math.max(0, WIDTH + 12 - x)
  return left < right ? 'left-3' : 'right-3'
}
