import { array, number, object, string } from 'yup'
import { type Contents, count, listById, text } from '../contents'

export type JobState = 'waiting' | 'running' | 'paused' | 'done' | 'failed'

export interface Job {
  id: string
  name: string
  steps: number
  at: number
  state: JobState
  log: string[]
  /** The step it fails at, for jobs that do. */
  fails?: number
  why?: string
}

export interface JobContent {
  jobs: Job[]
}

export const JOBS: Contents<JobContent> = {
  shape: object({
    jobs: listById(
      object({
        id: string().required(),
        name: text(),
        steps: number().integer().min(1).max(1e6).required(),
        at: count(),
        state: string().oneOf(['waiting', 'running', 'paused', 'done', 'failed']).required(),
        log: array(text()).required(),
        fails: number(),
        why: string(),
      }),
    ),
  }),
  empty: { jobs: [] },
}
