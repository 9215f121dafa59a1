import { type KeyboardEvent, type ReactNode, useMemo, useState } from 'react'
import { figuresOf } from '@/core/insight/figures'
import { matrixOf } from '@/core/insight/matrix'
import { atMinute, dayOf } from '@/core/plan/plan'
import { amountInWords } from '@/core/settings/choices'
import { SETTINGS } from '@/core/settings/table'
import { Dialog } from '@/parts/Dialog'
import { JustDone } from '@/parts/JustDone'
import { Keys } from '@/parts/Keys'
import { useMedia } from '@/parts/useMedia'
import { useTime } from '@/store/clock'
import { expected } from '@/store/faults'
import { isWriting, strike, strikeApp } from '@/store/opening/begin'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Days } from './Days'
import { Exports } from './Exports'
import { Steps, stepOf } from './Steps'
import { Suggestions } from './Suggestions'
import { type LoggedDay, useSpan } from './useSpan'
import { Ways } from './Ways'

const SHOWS = { day: 'What happened', ways: 'From and to', suggestions: 'Suggestions' } as const
type Shows = keyof typeof SHOWS

const SPANS = [
  [1, 'day'],
  [7, 'week'],
  [28, 'four weeks'],
] as const

/** How the days went, from the journal: like a ship’s log, with the figures in its margin. */
export function LogDialog() {
  const shelf = useShelf()
  const wide = useMedia('(min-width: 1700px)')
  const now = useTime(60_000)
  const [ago, setAgo] = useState(0)
  const [days, setDays] = useState(1)
  const [shows, setShows] = useState<Shows>('day')
  const [chosen, setChosen] = useState<number>()
  const order = useArrangement((state) => state.order)
  const last = atMinute(dayOf(now), -ago * 24 * 60 + 12 * 60)
  const [round, setRound] = useState(0)
  const span = useSpan(last, days, now, round)
  const events = useMemo(() => span?.flatMap((day) => day.events) ?? [], [span])
  const figures = useMemo(() => span && figuresIn(span), [span])
  const [compares, setCompares] = useState(false)
  const former = useSpan(
    atMinute(dayOf(last), -days * 24 * 60 + 12 * 60),
    compares ? days : 0,
    now,
    round,
  )
  const before = useMemo(() => former && figuresIn(former), [former])
  const matrix = useMemo(() => matrixOf(events, order), [events, order])
  const struck = async (striking: Promise<boolean>) => {
    const done = await striking.catch(expected('told below', false))
    if (!done)
      shelf.say('That can’t be deleted here. Try again in the main window.', { refused: true })
    setRound((before) => before + 1)
  }
  const go = (by: number) => setAgo(Math.max(0, ago + by))
  const keys = (event: KeyboardEvent) => {
    const by = stepOf(event)
    if (by) go(by * days)
  }
  return (
    <Dialog title="Log" width={wide ? 1440 : 1080}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys of all that is in it */}
      <div className="mt-3 flex h-[min(70vh,1000px)] flex-col gap-3" onKeyDown={keys}>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <Steps says={spanInWords(last, days)} last={ago === 0} onStep={(by) => go(by * days)} />
          <Choice
            label="Span"
            of={SPANS.map(([count, name]) => [String(count), name])}
            chosen={String(days)}
            onChoose={(count) => setDays(Number(count))}
          />
          <span aria-hidden className="h-5 border-seam border-l max-[1120px]:hidden" />
          <Choice
            label="View"
            of={Object.entries(SHOWS)}
            chosen={shows}
            onChoose={(to) => {
              setShows(to as Shows)
              // A day tells too little.
              if (to === 'suggestions' && days === 1) setDays(28)
            }}
          />
          {span && figures ? <Exports span={span} figures={figures} /> : null}
        </div>
        <Shown empty={span !== null && events.length === 0} wait={span === null}>
          {shows === 'ways' ? (
            <Ways matrix={matrix} days={Math.max(1, worked(span ?? []))} />
          ) : null}
          {shows === 'suggestions' ? (
            <Suggestions events={events} matrix={matrix} days={Math.max(1, worked(span ?? []))} />
          ) : null}
          {shows === 'day' && span && figures ? (
            <Days
              span={span}
              figures={figures}
              chosen={chosen}
              onChoose={setChosen}
              before={before}
              compares={compares}
              onCompare={setCompares}
              onStrike={(from, until) => struck(strike(shelf, from, until))}
              onStrikeApp={(app) => struck(strikeApp(shelf, app))}
            />
          ) : null}
        </Shown>
        <Foot>
          {days === 1 && events.length > 0 ? (
            <StrikeDay
              key={last}
              onStrike={() => struck(strike(shelf, dayOf(last), atMinute(dayOf(last), 24 * 60)))}
            />
          ) : null}
        </Foot>
      </div>
    </Dialog>
  )
}

/** Where the log is, and for how long. */
function Foot({ children }: { children: ReactNode }) {
  const shelf = useShelf()
  const kept = useArrangement((state) => state.settings.log)
  return (
    <div className="mt-auto flex items-center">
      <p className="text-[12px] text-soft">
        {kept === 0
          ? 'The log is off. You can turn it on in Settings.'
          : `Kept in this browser for ${amountInWords(SETTINGS.log, kept)} (see Settings). It never contains what you type.`}
      </p>
      {children}
      <JustDone />
      <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
        Done <Keys keys="Esc" />
      </button>
    </div>
  )
}

/** A day is struck when that was said twice. */
function StrikeDay({ onStrike }: { onStrike(): void }) {
  const [sure, setSure] = useState(false)
  return (
    <button
      type="button"
      className={`ml-4 text-[12px] underline decoration-dashed ${sure ? 'font-semibold text-alarm' : 'text-soft hover:text-ink'}`}
      onClick={() => (sure ? onStrike() : setSure(true))}
    >
      {sure ? 'Delete this day for good' : 'Delete this day'}
    </button>
  )
}

/** What a span came to; null where it has no days. */
const figuresIn = (span: readonly LoggedDay[]) => {
  const [first] = span
  const last = span.at(-1)
  if (!first || !last) return null
  return figuresOf(
    span.flatMap(({ events }) => events),
    first.midnight,
    last.until,
  )
}

/** Days on which something happened. */
const worked = (span: readonly LoggedDay[]): number =>
  span.filter(({ events }) => events.length > 0).length

/** What is shown, or that there is nothing yet. */
function Shown({ empty, wait, children }: { empty: boolean; wait: boolean; children: ReactNode }) {
  const shelf = useShelf()
  if (wait) return <p className="flex-1 text-soft">Reading…</p>
  if (!empty) return children
  return (
    <p className="flex-1 text-soft">
      {isWriting(shelf)
        ? 'The log is empty for this period. As you work, it shows which desktops you were on, how often you switched, and what needed your attention.'
        : 'The log is available in the main window. Open it there.'}
    </p>
  )
}

/** One of several, as a row of pushes. */
function Choice({
  label,
  of,
  chosen,
  onChoose,
}: {
  label: string
  of: readonly (readonly [id: string, name: string])[]
  chosen: string
  onChoose(id: string): void
}) {
  return (
    <fieldset className="flex items-center gap-3">
      <legend className="sr-only">{label}</legend>
      {of.map(([id, name]) => (
        <label key={id} className="flex items-center gap-1.5">
          <input type="radio" name={label} checked={id === chosen} onChange={() => onChoose(id)} />
          {name}
        </label>
      ))}
    </fieldset>
  )
}

function spanInWords(last: number, days: number): string {
  const long = (at: number, weekday?: 'long') =>
    new Date(at).toLocaleDateString('en', { weekday, day: 'numeric', month: 'long' })
  return days === 1
    ? long(last, 'long')
    : `${long(atMinute(dayOf(last), (1 - days) * 24 * 60 + 12 * 60))} – ${long(last)}`
}
