'use client'
import { Pause, Play, RotateCcw } from 'lucide-react'
import { type FormEvent, useEffect, useState } from 'react'
import { Tool } from '@/parts/Tool'
import { useTime } from '@/store/clock'
import { changeContent, useTyped } from '@/store/documents/documents'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import { pauseOr, useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { COUNTDOWN, type CountdownContent } from './content'
import { inWords, left, parse } from './time'

/** Counts down to a time of day or for a duration. */
export default function Countdown({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(COUNTDOWN, id)
  const now = useTime(content?.kind === 'running' ? 1000 : null)
  const [typed, setTyped] = useTyped(id, 'time')
  const [problem, setProblem] = useState('')
  const over = content?.kind === 'running' && left(content, now) === 0 && !content.told
  useReported(id, over ? content.until : null)
  const seen = useSeen(window)
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is seen once
  useEffect(() => {
    if (over && seen) change({ ...content, told: true })
  }, [over, seen])
  const change = (next: CountdownContent) => changeContent(shelf, id, next, 'saved')
  const runs = content?.kind === 'running' && left(content, now) > 0
  const paused = content?.kind === 'paused'
  useTether(
    id,
    runs || paused
      ? {
          says: '',
          // The one on every desktop is always in sight.
          offered: true,
          ...(runs && { until: content.until }),
          controls: [pauseOr(runs)],
        }
      : null,
    () => {
      if (content?.kind === 'running')
        change({ kind: 'paused', left: left(content, shelf.clock()), of: content.of })
      else if (content?.kind === 'paused')
        change({ kind: 'running', until: shelf.clock() + content.left, of: content.of })
    },
  )
  if (!content) return null
  const remaining = left(content, now)
  const done = content.kind === 'running' && remaining === 0
  const begin = (event: FormEvent) => {
    event.preventDefault()
    const next = parse(typed, shelf.clock())
    setProblem(next ? '' : 'Type a time like 16:00 or a duration like 25 min.')
    if (!next) return
    setTyped('')
    change(next)
  }
  const share = content.kind === 'idle' ? 0 : 1 - remaining / content.of
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-2 p-3">
      <div
        role="timer"
        aria-label="Time left"
        className="font-display font-extrabold text-[34px] tabular-nums leading-none"
      >
        {content.kind === 'idle' ? '–' : done ? 'Done' : inWords(remaining)}
      </div>
      <div className="h-2 w-full border border-edge bg-ground" aria-hidden>
        <div className="meter h-full bg-ink" style={{ width: `${share * 100}%` }} />
      </div>
      <p className="text-soft" role="status">
        {status(content, done)}
      </p>
      <form className="flex items-center gap-1.5" onSubmit={begin}>
        <input
          data-autofocus=""
          className="field w-28"
          aria-label="Time or duration"
          aria-invalid={problem !== ''}
          placeholder="16:00 or 25 min"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="btn min-h-7 px-2">
          Start
        </button>
        {content.kind === 'running' && !done ? (
          <Tool
            label="Pause"
            onClick={() =>
              change({ kind: 'paused', left: left(content, shelf.clock()), of: content.of })
            }
          >
            <Pause size={15} />
          </Tool>
        ) : null}
        {content.kind === 'paused' ? (
          <Tool
            label="Go on"
            onClick={() =>
              change({ kind: 'running', until: shelf.clock() + content.left, of: content.of })
            }
          >
            <Play size={15} />
          </Tool>
        ) : null}
        {content.kind !== 'idle' ? (
          <Tool label="Clear" onClick={() => change(COUNTDOWN.empty)}>
            <RotateCcw size={14} />
          </Tool>
        ) : null}
      </form>
      {problem ? (
        <p role="alert" className="text-alarm">
          {problem}
        </p>
      ) : null}
    </div>
  )
}

function status(content: CountdownContent, done: boolean): string {
  if (content.kind === 'idle') return 'Not set'
  if (content.kind === 'paused') return 'Paused'
  const at = new Date(content.until).toLocaleTimeString([], {
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  return done ? `It was ${at}` : `until ${at}`
}

/** Its end asks for attention until it was seen; told as having ended then, however late. */
function useReported(id: string, ended: number | null): void {
  const shelf = useShelf()
  useEffect(() => {
    const at = ended === null ? '' : new Date(ended).toLocaleTimeString([], CLOCK)
    report(shelf, id, {
      attention: ended === null ? null : 'alarm',
      ...(ended !== null && { says: `Over since ${at}` }),
    })
  }, [id, ended, shelf])
}

const CLOCK = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const
