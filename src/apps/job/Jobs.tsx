'use client'
import { useEffect, useState } from 'react'
import { changeContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import { newId } from '@/store/newId'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import { pauseOr, useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { shownNow, useShownContent } from '../useContents'
import { serviceSpeed, useService } from '../useService'
import { JOBS, type Job, type JobContent } from './content'
import { JobRow } from './JobRow'
import { NewJob } from './NewJob'
import type { JobEvent } from './protocol'
import { heard, queue, remove, running, setState } from './queue'
import { Replaced } from './Replaced'
import { useWork } from './work/doing'
import { nameOf } from './work/works'

/** Long computations in a queue: one runs at a time, outside; its log and progress are followed. */
export default function Jobs({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(JOBS, id)
  const [chosen, setChosen] = useState<string | null>(null)
  const seen = useSeen(window)
  const now = () => shownNow(shelf, JOBS, id)
  const change = (next: JobContent) => next !== now() && changeContent(shelf, id, next, 'saved')
  const active = content ? running(content) : undefined
  const connection = useService<JobEvent>(
    active && !active.work ? active.id : null,
    () => {
      const { steps = 1, at = 0, fails = 0 } = now().jobs.find((job) => job.id === active?.id) ?? {}
      return { service: 'job', steps, at, fails, speed: serviceSpeed() }
    },
    (event) => active && change(heard(now(), active.id, event)),
  )
  const act = async (job: Job, action: 'pause' | 'go on' | 'drop') => {
    if (action === 'drop') change(remove(now(), job.id))
    else change(setState(now(), job.id, action === 'pause' ? 'paused' : 'running'))
    if (job.state === 'waiting' || job.work) return
    const body = JSON.stringify({ id: job.id, action })
    const answer = await fetch('/api/jobs', { method: 'POST', body }).catch(
      expected('told below', null),
    )
    if (!answer)
      shelf.say('The service does not answer. The job will be retried.', { refused: true })
  }
  useWork(id, content)
  useReported(id, content, seen)
  const held = content?.jobs.find(({ state }) => state === 'paused')
  const far = active ?? held
  useTether(
    id,
    far
      ? {
          says: far.name,
          offered: true,
          progress: far.at / far.steps,
          controls: [pauseOr(!!active), { id: 'drop', label: 'Drop', glyph: 'drop' }],
        }
      : null,
    (control) => far && void act(far, control as 'pause' | 'go on' | 'drop'),
  )
  if (!content) return null
  const shown = content.jobs.find((job) => job.id === chosen) ?? active ?? content.jobs.at(-1)
  return (
    <>
      {connection === 'lost' && active ? (
        <p role="alert" className="border-seam border-b border-dashed px-3 py-1.5 text-alarm">
          Connection lost. Retrying; the job goes on, and its progress will catch up.
        </p>
      ) : null}
      <ul aria-label="Jobs" className="max-h-[50%] shrink-0 overflow-auto">
        {content.jobs.map((job) => (
          <JobRow
            key={job.id}
            job={job}
            shown={job === shown}
            onShow={() => setChosen(job.id)}
            onAct={(action) => void act(job, action)}
          />
        ))}
      </ul>
      <div
        role="log"
        aria-label={`Log of ${shown?.name ?? 'jobs'}`}
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto border-seam border-y bg-ground/50 px-3 py-2 font-mono text-[12px]"
      >
        {shown?.log.map((line, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: lines are only ever added
          <p key={at}>{line}</p>
        ))}
        {shown?.why ? <p className="text-alarm">{shown.why}</p> : null}
      </div>
      {shown?.work?.kind === 'replace' && shown.state === 'done' ? (
        <Replaced documents={shown.work.documents} />
      ) : null}
      <NewJob
        document={id}
        onQueue={(made) => {
          const titleOf = (one: string) => shelf.state().documents[one]?.title ?? 'a table'
          const work = 'work' in made ? made.work : undefined
          const name = 'work' in made ? nameOf(made.work, titleOf) : made.name
          change(queue(now(), newId('job'), name, work))
        }}
      />
    </>
  )
}

/** Progress while one runs; its end asks for attention until the window is seen. */
function useReported(id: string, content: JobContent | undefined, looked: boolean): void {
  const shelf = useShelf()
  const [seen, setSeen] = useState<number | null>(null)
  const ended = content?.jobs.filter(({ state }) => state === 'done' || state === 'failed') ?? []
  const count = ended.length
  const last = ended.at(-1)
  // What had ended before the window was drawn is no news, unless it still waits to be seen.
  useEffect(() => {
    if (content && (looked || seen === null || seen > count))
      setSeen(!looked && seen === null && shelf.state().attention[id] ? count - 1 : count)
  }, [id, content, looked, seen, count, shelf])
  const active = content ? running(content) : undefined
  const fresh = content && seen !== null && count > seen && !looked ? last : undefined
  useEffect(() => {
    report(shelf, id, {
      progress: active ? active.at / active.steps : null,
      busy: !!active,
      attention: fresh ? (fresh.state === 'failed' ? 'alarm' : 'info') : null,
      ...(fresh && { says: `${fresh.name} ${fresh.state === 'failed' ? 'failed' : 'is done'}` }),
    })
  }, [id, active, fresh, shelf])
}
