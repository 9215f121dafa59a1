import type { Job, JobContent, JobState } from './content'
import type { JobEvent } from './protocol'

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

/** What the service said of a job. A step that is known already changes nothing. */
export function heard(content: JobContent, id: string, event: JobEvent): JobContent {
  const job = content.jobs.find((one) => one.id === id)
  if (!job || (event.kind === 'step' && event.step <= job.at)) return content
  switch (event.kind) {
    case 'step':
      return change(content, id, (one) => ({
        ...one,
        at: event.step,
        log: [...one.log, event.log].slice(-LOG_KEPT),
      }))
    case 'done':
      return advance(change(content, id, (one) => ({ ...one, state: 'done', at: one.steps })))
    case 'failed':
      return advance(change(content, id, (one) => ({ ...one, state: 'failed', why: event.why })))
  }
}

export const setState = (content: JobContent, id: string, state: JobState): JobContent =>
  change(content, id, (job) => ({ ...job, state }))

export const queue = (content: JobContent, id: string, name: string): JobContent =>
  advance({ jobs: [...content.jobs, { id, name, steps: 12, at: 0, state: 'waiting', log: [] }] })

export const remove = (content: JobContent, id: string): JobContent =>
  advance({ jobs: content.jobs.filter((job) => job.id !== id) })
