import { type KeyboardEvent, type ReactNode, useId, useMemo, useState } from 'react'
import { figuresOf } from '@/core/insight/figures'
import { matrixOf } from '@/core/insight/matrix'
import { atMinute, dayOf } from '@/core/plan/plan'
import { amountInWords } from '@/core/settings/choices'
import { SETTINGS } from '@/core/settings/table'
import { useTime } from '@/store/clock'
import { expected } from '@/store/faults'
import { dayKey } from '@/store/journal'
import { isWriting, strike, strikeApp } from '@/store/opening/opened'
import { useArrangement, useShelf } from '@/store/useShelf'
import {
  between,
  daysOf,
  type LogContent,
  moved,
  SHOWS,
  type Shows,
  SPANS,
  type Span,
  shifted,
} from './content'
import { Days } from './Days'
import { Exports } from './Exports'
import { Steps, stepOf } from './Steps'
import { Suggestions } from './Suggestions'
import { type LoggedDay, useSpan } from './useSpan'
import { Ways } from './Ways'

/** How the days went, from the journal: like a ship’s log, with the figures in its margin. */
export function Log({
  content,
  onChange,
  children,
}: {
  /** What of it is shown. */
  content: LogContent
  onChange(content: LogContent): void
  /** What stands in its foot. */
  children?: ReactNode
}) {
  const shelf = useShelf()
  const now = useTime(60_000)
  const [ago, setAgo] = useState(0)
  const [chosen, setChosen] = useState<number>()
  const order = useArrangement((state) => state.order)
  const { last, days } = daysOf(content, now, ago)
  const { shows, compares } = content
  const [round, setRound] = useState(0)
  const span = useSpan(last, days, now, round)
  const events = useMemo(() => span?.flatMap((day) => day.events) ?? [], [span])
  const figures = useMemo(() => span && figuresIn(span), [span])
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
  const isLast = dayOf(last) >= dayOf(now)
  const go = (by: number) => {
    if (by < 0 && isLast) return
    if (content.span !== 'dates') return setAgo(Math.max(0, ago + by * days))
    onChange({ ...content, ...shifted(content, -by * days, dayKey(now)) })
  }
  const keys = (event: KeyboardEvent) => {
    const by = stepOf(event)
    if (by) go(by)
  }
  const chooseSpan = (to: Span) => {
    // Those that are shown now are the ones to begin with.
    const dates =
      to === 'dates' && !content.from
        ? { from: dayKey(atMinute(dayOf(last), (1 - days) * 24 * 60 + 12 * 60)), to: dayKey(last) }
        : {}
    onChange({ ...content, ...dates, span: to })
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys of all that is in it
    <div className="@container flex min-h-0 flex-1 flex-col gap-3" onKeyDown={keys}>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Steps
          says={spanInWords(last, days)}
          last={isLast}
          takesKeys={span !== null && (shows !== 'day' || events.length === 0)}
          onStep={go}
        />
        <Choice
          label="Span"
          of={SPANS}
          chosen={content.span}
          onChoose={(to) => chooseSpan(to as Span)}
        />
        {content.span === 'dates' ? (
          <Dates
            content={content}
            today={dayKey(now)}
            onSet={(ends) => onChange({ ...content, ...ends })}
          />
        ) : (
          <span aria-hidden className="h-5 border-seam border-l @max-[1000px]:hidden" />
        )}
        <Choice
          label="View"
          of={SHOWS}
          chosen={shows}
          onChoose={(to) =>
            // A day tells too little.
            onChange({
              ...content,
              shows: to as Shows,
              ...(to === 'suggestions' && content.span === 'day' && { span: 'weeks' }),
            })
          }
        />
      </div>
      <Shown empty={span !== null && events.length === 0} wait={span === null}>
        {shows === 'ways' ? <Ways matrix={matrix} days={Math.max(1, worked(span ?? []))} /> : null}
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
            onCompare={(on) => onChange({ ...content, compares: on })}
            onStrike={(from, until) => struck(strike(shelf, from, until))}
            onStrikeApp={(app) => struck(strikeApp(shelf, app))}
          />
        ) : null}
      </Shown>
      <div className="mt-auto flex flex-wrap items-center gap-x-4 gap-y-1">
        <Kept />
        {days === 1 && events.length > 0 ? (
          <StrikeDay
            key={last}
            onStrike={() => struck(strike(shelf, dayOf(last), atMinute(dayOf(last), 24 * 60)))}
          />
        ) : null}
        {span && figures ? <Exports span={span} figures={figures} /> : null}
        {children}
      </div>
    </div>
  )
}

/** Where the log is, and for how long. */
function Kept() {
  const kept = useArrangement((state) => state.settings.log)
  return (
    <p className="text-[12px] text-soft">
      {kept === 0
        ? 'The log is off. You can turn it on in Settings.'
        : `Kept in this browser for ${amountInWords(SETTINGS.log, kept)} (see Settings). It never contains what you type.`}
    </p>
  )
}

/** The first and the last of the days that are shown. */
function Dates({
  content: { from, to },
  today,
  onSet,
}: {
  content: LogContent
  today: string
  onSet(ends: Ends): void
}) {
  // While one types a date it is many others: the two as they were before are what counts.
  const [typing, setTyping] = useState<{ which: End; date: string; before: Ends } | null>(null)
  const first = moved(today, -SETTINGS.log.most)
  const isMeant = (date: string) => date >= first && date <= today
  const type = (which: End, date: string) => {
    const before = typing?.which === which ? typing.before : { from, to }
    setTyping({ which, date, before })
    if (isMeant(date)) onSet(between(which, { ...before, [which]: date }))
  }
  const isWrong = typing !== null && !isMeant(typing.date)
  return (
    <span className="flex flex-wrap items-center gap-2">
      {(['from', 'to'] as const).map((which) => (
        <label key={which} className="flex items-center gap-1.5">
          {which}
          <input
            type="date"
            className="field"
            min={first}
            max={today}
            aria-invalid={isWrong && typing.which === which}
            value={typing?.which === which ? typing.date : which === 'from' ? from : to}
            onChange={({ target }) => type(which, target.value)}
            onBlur={() => setTyping(null)}
          />
        </label>
      ))}
      {isWrong ? (
        <span role="alert" className="text-[12px] text-alarm">
          Choose a day up to today.
        </span>
      ) : null}
    </span>
  )
}

type End = 'from' | 'to'
type Ends = Pick<LogContent, End>

/** A day is struck when that was said twice. */
function StrikeDay({ onStrike }: { onStrike(): void }) {
  const [sure, setSure] = useState(false)
  return (
    <button
      type="button"
      className={`text-[12px] underline decoration-dashed ${sure ? 'font-semibold text-alarm' : 'text-soft hover:text-ink'}`}
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
  if (wait)
    return (
      <p data-coming="" className="flex-1 text-soft">
        Reading…
      </p>
    )
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
  of: Readonly<Record<string, string>>
  chosen: string
  onChoose(id: string): void
}) {
  // Of each log that is open its own.
  const group = useId()
  return (
    <fieldset className="flex items-center gap-3">
      <legend className="sr-only">{label}</legend>
      {Object.entries(of).map(([id, name]) => (
        <label key={id} className="flex items-center gap-1.5">
          <input type="radio" name={group} checked={id === chosen} onChange={() => onChoose(id)} />
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
