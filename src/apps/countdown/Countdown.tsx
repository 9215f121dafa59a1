'use client'
import { Pause, Play, Plus, RotateCcw } from 'lucide-react'
import { type FormEvent, type KeyboardEvent, useEffect, useState } from 'react'
import { Tool } from '@/parts/Tool'
import { useTime } from '@/store/clock'
import { addDocument } from '@/store/documents/adding'
import { changeContent, useTyped } from '@/store/documents/documents'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import { pauseOr, useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { COUNTDOWN, type CountdownContent } from './content'
import { again, goneOn, inWords, left, parse, paused } from './time'

const WRONG = 'Type 16:00, 4pm, tea 25 min or stopwatch.'

/** Counts down to a time of day or for a duration, comes again on some days, or counts up. */
export default function Countdown({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(COUNTDOWN, id)
  const runs = content !== undefined && isRunning(content)
  const now = useTime(runs ? 1000 : null)
  const [typed, setTyped] = useTyped(id, 'time')
  const [problem, setProblem] = useState('')
  const over = content?.kind === 'running' && left(content, now) === 0 && !content.told
  useReported(id, over ? content : null)
  const seen = useSeen(window)
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is seen once
  useEffect(() => {
    if (over && seen) change({ ...content, told: true })
  }, [over, seen])
  const next = content ? again(content, now) : null
  useEffect(() => {
    if (next) change(next)
  })
  const change = (next: CountdownContent) => changeContent(shelf, id, next, 'saved')
  const toggle = () => {
    if (content) change(runs ? paused(content, shelf.clock()) : goneOn(content, shelf.clock()))
  }
  const goes = content?.kind === 'running' && left(content, now) > 0
  useTether(
    id,
    goes || content?.kind === 'paused'
      ? {
          says: content.label ?? '',
          // The one on every desktop is always in sight.
          offered: true,
          ...(goes && { until: content.until }),
          controls: [pauseOr(goes)],
        }
      : null,
    toggle,
  )
  if (!content) return null
  const remaining = left(content, now)
  const done = content.kind === 'running' && remaining === 0
  const set = (to: (next: CountdownContent) => void) => {
    const next = parse(typed, shelf.clock())
    setProblem(next ? '' : WRONG)
    if (!next) return
    setTyped('')
    to(next)
  }
  /** One more beside this one, in a window of its own. */
  const another = (next: CountdownContent) => {
    const title = ('label' in next && next.label) || 'Countdown'
    const document = addDocument(shelf, { app: 'countdown', title }, next)
    shelf.dispatch('window.open', { app: 'countdown', document })
  }
  const stands = content.kind === 'paused' || (content.kind === 'stopwatch' && !runs)
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-2 p-3">
      {content.kind !== 'idle' && content.label ? (
        <p dir="auto" className="max-w-full truncate font-semibold">
          {content.label}
        </p>
      ) : null}
      <div
        role="timer"
        aria-label={content.kind === 'stopwatch' ? 'Time gone by' : 'Time left'}
        className="font-display font-extrabold text-[34px] tabular-nums leading-none"
      >
        {content.kind === 'idle'
          ? '–'
          : done
            ? 'Done'
            : inWords(remaining, content.kind === 'stopwatch')}
      </div>
      {content.kind === 'stopwatch' ? null : (
        <div className="h-2 w-full border border-edge bg-ground" aria-hidden>
          <div
            className="meter h-full bg-ink"
            style={{ width: `${share(content, remaining) * 100}%` }}
          />
        </div>
      )}
      {problem ? (
        <p role="alert" className="text-center text-alarm">
          {problem}
        </p>
      ) : (
        <p className="text-soft" role="status">
          {status(content, done)}
        </p>
      )}
      <form
        className="flex max-w-full items-center gap-1.5"
        onSubmit={(event: FormEvent) => {
          event.preventDefault()
          set(change)
        }}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return
          event.preventDefault()
          set(another)
        }}
      >
        <input
          data-autofocus=""
          className="field w-32 min-w-0"
          aria-label="Time or duration"
          title="16:00, 4pm, tea 25 min, weekdays 9:00, stopwatch"
          aria-invalid={problem !== ''}
          placeholder="16:00, 25 min"
          value={typed}
          onChange={(event) => {
            setProblem('')
            setTyped(event.target.value)
          }}
        />
        <button type="submit" className="btn min-h-7 px-2">
          Start
        </button>
        <Tool label="Start another" keys="Ctrl+Enter" onClick={() => set(another)}>
          <Plus size={15} />
        </Tool>
        {runs && !done ? (
          <Tool label="Pause" onClick={toggle}>
            <Pause size={15} />
          </Tool>
        ) : null}
        {stands ? (
          <Tool label="Go on" onClick={toggle}>
            <Play size={15} />
          </Tool>
        ) : null}
        {content.kind !== 'idle' ? (
          <Tool label="Clear" onClick={() => change(COUNTDOWN.empty)}>
            <RotateCcw size={14} />
          </Tool>
        ) : null}
      </form>
    </div>
  )
}

const isRunning = (content: CountdownContent): boolean =>
  content.kind === 'running' || (content.kind === 'stopwatch' && content.since !== null)

const share = (content: CountdownContent, remaining: number): number =>
  'of' in content ? 1 - remaining / content.of : 0

const REPEATS = { daily: 'every day', weekdays: 'on weekdays' }

function status(content: CountdownContent, done: boolean): string {
  if (content.kind === 'idle') return 'Not set'
  if (content.kind === 'paused') return 'Paused'
  if (content.kind === 'stopwatch') return content.since === null ? 'Paused' : 'Stopwatch'
  const at = clockAt(content.until)
  const repeat = content.repeat ? `, ${REPEATS[content.repeat.on]}` : ''
  return `${done ? `It was ${at}` : `until ${at}`}${repeat}`
}

/** Its end asks for attention until it was seen; told as having ended then, however late. */
function useReported(id: string, ended: { until: number; label?: string } | null): void {
  const shelf = useShelf()
  const { until = null, label } = ended ?? {}
  useEffect(() => {
    report(shelf, id, {
      attention: until === null ? null : 'alarm',
      ...(until !== null && {
        says: label ? `${label}, since ${clockAt(until)}` : `Over since ${clockAt(until)}`,
      }),
    })
  }, [id, until, label, shelf])
}

const CLOCK = new Intl.DateTimeFormat([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
const clockAt = (moment: number): string => CLOCK.format(moment)
