import type { Job, JobContent, JobState } from './content'
import type { JobEvent } from './protocol'
import type { Work } from './work/works'

/** How many lines of a job's log are kept. */
const LOG_KEPT = 200

export const running = ({ jobs }: JobContent): Job | undefined =>
  jobs.find(({ state }) => state === 'running')

const change = (content: JobContent, id: string, to: (job: Job) => Job): JobContent => ({
  jobs: content.jobs.map((job) => (job.id === id ? to(job) : job)),
})

/** One job runs at a time: when none does and none is paused, the first that waits begins. */
export function advance(content: JobContent): JobContent {
  if (content.jobs.some(({ state }) => state === 'running' || state === 'paused')) return content
  const next = content.jobs.find(({ state }) => state === 'waiting')
  return next ? change(content, next.id, (job) => ({ ...job, state: 'running' })) : content
}

/** How far a job is, and a line for its log. */
export const progressed = (content: JobContent, id: string, at: number, line = ''): JobContent =>
  change(content, id, (one) => ({
    ...one,
    at,
    log: line ? [...one.log, line].slice(-LOG_KEPT) : one.log,
  }))

/** The work of a job was done, and a document tells what came out. */
export const worked = (content: JobContent, id: string, result: string): JobContent =>
  heard(
    change(content, id, (one) => ({ ...one, result })),
    id,
    { kind: 'done' },
  )

/** What the service said of a job. A step that is known already changes nothing. */
export function heard(content: JobContent, id: string, event: JobEvent): JobContent {
  const job = content.jobs.find((one) => one.id === id)
  if (!job || (event.kind === 'step' && event.step <= job.at)) return content
  switch (event.kind) {
    case 'step':
      return progressed(content, id, event.step, event.log)
    case 'done':
      return advance(change(content, id, (one) => ({ ...one, state: 'done', at: one.steps })))
    case 'failed':
      return advance(change(content, id, (one) => ({ ...one, state: 'failed', why: event.why })))
  }
}

export const setState = (content: JobContent, id: string, state: JobState): JobContent =>
  change(content, id, (job) => ({ ...job, state }))

export const queue = (content: JobContent, id: string, name: string, work?: Work): JobContent => {
  const steps = work ? 100 : 12
  const job: Job = { id, name, steps, at: 0, state: 'waiting', log: [], ...(work && { work }) }
  return advance({ jobs: [...content.jobs, job] })
}

export const remove = (content: JobContent, id: string): JobContent =>
  advance({ jobs: content.jobs.filter((job) => job.id !== id) })
