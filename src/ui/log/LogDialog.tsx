import Papa from 'papaparse'
import { type KeyboardEvent, type ReactNode, useMemo, useState } from 'react'
import { figuresOf, type Figures as Given } from '@/core/insight/figures'
import { matrixOf } from '@/core/insight/matrix'
import { stretchesOf } from '@/core/journal/time'
import { atMinute, blocksOf, dayOf } from '@/core/plan/plan'
import { Dialog } from '@/parts/Dialog'
import { download } from '@/parts/download'
import { Keys } from '@/parts/Keys'
import { useTime } from '@/store/clock'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Band, hoursFor } from './Band'
import { Figures } from './Figures'
import { Lines, shortDay } from './Lines'
import { linesOf } from './lines'
import { Order } from './Order'
import { useSpan } from './useSpan'
import { Ways } from './Ways'

const SHOWS = { day: 'What happened', ways: 'From and to', order: 'Order' } as const
type Shows = keyof typeof SHOWS

const SPANS = [
  [1, 'day'],
  [7, 'week'],
  [28, 'four weeks'],
] as const

/** How the days went, from the journal: like a ship’s log, with the figures in its margin. */
export function LogDialog() {
  const shelf = useShelf()
  const now = useTime(60_000)
  const [ago, setAgo] = useState(0)
  const [days, setDays] = useState(1)
  const [shows, setShows] = useState<Shows>('day')
  const [chosen, setChosen] = useState<number>()
  const order = useArrangement((state) => state.order)
  const last = atMinute(dayOf(now), -ago * 24 * 60 + 12 * 60)
  const span = useSpan(last, days, now)
  const events = useMemo(() => span?.flatMap((day) => day.events) ?? [], [span])
  const figures = useMemo(
    () => span && figuresOf(events, span[0]?.midnight ?? 0, span.at(-1)?.until ?? 0),
    [span, events],
  )
  const matrix = useMemo(() => matrixOf(events, order), [events, order])
  const go = (by: number) => setAgo(Math.max(0, ago + by))
  const keys = (event: KeyboardEvent) => {
    const typed = event.target instanceof HTMLInputElement && event.target.type !== 'radio'
    if (event.altKey || event.ctrlKey || event.metaKey || typed) return
    const by = { ',': days, '.': -days }[event.key]
    if (by === undefined) return
    event.preventDefault()
    go(by)
  }
  return (
    <Dialog title="Log" width={1080}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys of all that is in it */}
      <div className="mt-3 flex h-[min(70vh,640px)] flex-col gap-3" onKeyDown={keys}>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <span className="flex items-center gap-1.5">
            <button type="button" className="btn" aria-label="Earlier" onClick={() => go(days)}>
              ‹ <Keys keys="," />
            </button>
            <b role="status" className="w-64 text-center">
              {spanInWords(last, days)}
            </b>
            <button
              type="button"
              className="btn"
              aria-label="Later"
              disabled={ago === 0}
              onClick={() => go(-days)}
            >
              <Keys keys="." /> ›
            </button>
          </span>
          <Choice
            label="Span"
            of={SPANS.map(([count, name]) => [String(count), name])}
            chosen={String(days)}
            onChoose={(count) => setDays(Number(count))}
          />
          <span aria-hidden className="h-5 border-seam border-l" />
          <Choice
            label="View"
            of={Object.entries(SHOWS)}
            chosen={shows}
            onChoose={(to) => setShows(to as Shows)}
          />
          {span && figures ? <Exports span={span} figures={figures} /> : null}
        </div>
        <Shown empty={span !== null && events.length === 0} wait={span === null}>
          {shows === 'ways' ? (
            <Ways matrix={matrix} days={Math.max(1, worked(span ?? []))} />
          ) : null}
          {shows === 'order' ? (
            <Order matrix={matrix} days={Math.max(1, worked(span ?? []))} />
          ) : null}
          {shows === 'day' && span && figures ? (
            <Days span={span} figures={figures} chosen={chosen} onChoose={setChosen} />
          ) : null}
        </Shown>
        <div className="mt-auto flex items-center">
          <p className="text-[12px] text-soft">
            The log stays in this browser. What you type is never in it.
          </p>
          <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
            Done <Keys keys="Esc" />
          </button>
        </div>
      </div>
    </Dialog>
  )
}

type Span = NonNullable<ReturnType<typeof useSpan>>

/** Days on which something happened. */
const worked = (span: Span): number => span.filter(({ events }) => events.length > 0).length

/** A band for each day, the lines of them, and the figures. */
function Days({
  span,
  figures,
  chosen,
  onChoose,
}: {
  span: Span
  figures: Given
  chosen: number | undefined
  onChoose(start: number): void
}) {
  const plan = useArrangement((state) => state.plan)
  const days = useMemo(
    () =>
      span
        .filter(({ events }, at) => events.length > 0 || at === span.length - 1)
        .map((day) => ({ ...day, stretches: stretchesOf(day.events, day.midnight, day.until) })),
    [span],
  )
  const lines = useMemo(() => span.flatMap(linesOf), [span])
  const hours = hoursFor(days)
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_300px] gap-6 max-[900px]:grid-cols-1 max-[900px]:overflow-y-auto">
      <div className="flex min-h-0 flex-col gap-2">
        <div
          // Scrolled by key.
          tabIndex={0}
          role="group"
          aria-label="Day by day"
          className="flex max-h-[50%] shrink-0 flex-col gap-1 overflow-y-auto"
        >
          {days.map(({ midnight, stretches, events }) => (
            <div key={midnight} className="flex items-center gap-2">
              {span.length > 1 ? (
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
                  low={span.length > 1}
                  onChoose={onChoose}
                />
              </div>
            </div>
          ))}
        </div>
        <Lines lines={lines} dated={span.length > 1} chosen={chosen} onChoose={onChoose} />
      </div>
      <Figures figures={figures} />
    </div>
  )
}

/** What is shown, or that there is nothing yet. */
function Shown({ empty, wait, children }: { empty: boolean; wait: boolean; children: ReactNode }) {
  if (wait) return <p className="flex-1 text-soft">Reading…</p>
  if (!empty) return children
  return (
    <p className="flex-1 text-soft">
      Nothing is in the log of this time. From now on it says here on which desktops you were, how
      often you went between them, and what asked for you.
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

/** Exactly what is shown: the lines as CSV, lines and figures as JSON. */
function Exports({ span, figures }: { span: Span; figures: Given }) {
  const shelf = useShelf()
  const named = (id: string) => shelf.state().desktops[id]?.name ?? 'a folded desktop'
  const rows = () =>
    span.flatMap(linesOf).map(({ desktop, start, end, focused, opened, asked }) => ({
      desktop: named(desktop),
      from: new Date(start).toISOString(),
      to: new Date(end).toISOString(),
      seconds: Math.round((end - start) / 1000),
      focused,
      opened,
      asked,
    }))
  const name = `log ${dayName(span[0]?.midnight ?? 0)}`
  const save = (text: string, type: string, file: string) => {
    download(new Blob([text], { type }), file)
    shelf.say(`Exported ${file}`)
  }
  return (
    <span className="ml-auto flex gap-2">
      <button
        type="button"
        className="btn"
        onClick={() =>
          save(Papa.unparse(rows(), { escapeFormulae: true }), 'text/csv', `${name}.csv`)
        }
      >
        CSV
      </button>
      <button
        type="button"
        className="btn"
        onClick={() =>
          save(
            JSON.stringify({ lines: rows(), figures }, null, 2),
            'application/json',
            `${name}.json`,
          )
        }
      >
        JSON
      </button>
    </span>
  )
}

const dayName = (at: number): string => new Date(at).toLocaleDateString('sv')

function spanInWords(last: number, days: number): string {
  const long = (at: number, weekday?: 'long') =>
    new Date(at).toLocaleDateString('en', { weekday, day: 'numeric', month: 'long' })
  return days === 1
    ? long(last, 'long')
    : `${long(atMinute(dayOf(last), (1 - days) * 24 * 60 + 12 * 60))} – ${long(last)}`
}
