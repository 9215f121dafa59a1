import { array, number, object, string } from 'yup'
import { type Contents, count, listById, text } from '../contents'
import { WORK, type Work } from './work/works'

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
  /** What it does, where it is done here and not by the service. */
  work?: Work
  /** The document that tells what came out. */
  result?: string
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
        work: WORK,
        result: string(),
      }),
    ),
  }),
  empty: { jobs: [] },
}
