import type { JobEvent } from '@/apps/job/protocol'
import { isKey } from './guard'
import { numberIn, type Source } from './streams'

/** How long a step of a job takes at speed 1, in milliseconds. */
export const STEP_EVERY = 6_000

/** How often it is looked how far a job is, in milliseconds. */
const LOOK_EVERY = 250

/** A job the service runs, whether someone listens or not. */
export interface RunningJob {
  steps: number
  /** The step it began at here, and when, in milliseconds since 1970. */
  from: number
  since: number
  /** Milliseconds a step takes. */
  every: number
  /** The step it fails at; none where absent. */
  failsAt?: number
  /** The step it was paused at; null while it runs. */
  paused: number | null
  /** When someone last listened to it, in milliseconds since 1970. */
  heardAt: number
}

/** A job has at most so many steps, and so many run here at once. */
export const STEPS_MOST = 1000
export const JOBS_MOST = 200
/** A job nobody listens to is dropped after this time; who comes back later starts it where it was. */
export const FORGET_AFTER = 30 * 60_000

/** Drops what nobody listens to any more, the longest unheard first where there are too many. */
export function forget(now: number): void {
  for (const [id, { heardAt }] of jobs) if (now - heardAt > FORGET_AFTER) jobs.delete(id)
  const byHearing = [...jobs].sort(([, a], [, b]) => a.heardAt - b.heardAt)
  for (const [id] of byHearing.slice(0, Math.max(0, jobs.size - JOBS_MOST))) jobs.delete(id)
}

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteJobs?: Map<string, RunningJob> }
shared.kiteJobs ??= new Map()

export const jobs: Map<string, RunningJob> = shared.kiteJobs

/** The step a job has finished at a moment. */
export function stepAt({ steps, from, since, every, failsAt, paused }: RunningJob, now: number) {
  if (paused !== null) return paused
  const reached = from + Math.floor((now - since) / every)
  return Math.min(reached, steps, failsAt ?? steps)
}

/** What a job says at a step, in the words of a snowpack model. */
export function logOf(step: number, steps: number): string {
  const hour = String(Math.round((step * 24) / steps) % 24).padStart(2, '0')
  const places = ['Kestrel Bowl', 'Tarn Ridge', 'Low Saddle', 'Wren Couloir', 'Alder Flats']
  return `${hour}:00 layers settled at ${places[step % places.length]}, ${3 + ((step * 7) % 5)} of 8 stations`
}

/** How a job that has reached its last step ended, or null while it has not. */
export function ending(job: RunningJob, step: number): JobEvent | null {
  if (job.failsAt !== undefined && step >= job.failsAt)
    return { kind: 'failed', why: 'HR-07 has no readings for this hour' }
  return step >= job.steps ? { kind: 'done' } : null
}

/**
 * Runs a job, or joins it where it is, and tells every step after the one that is known.
 * @returns the reason where it is asked for more than there can be
 */
export function jobSource(query: URLSearchParams): Source | string {
  const id = query.get('key') ?? ''
  if (!isKey(id)) return 'Say which job.'
  const steps = numberIn(query, 'steps', 10, STEPS_MOST)
  const from = numberIn(query, 'at', 0, STEPS_MOST)
  const fails = numberIn(query, 'fails', 0, STEPS_MOST)
  const speed = numberIn(query, 'speed', 1, 1000)
  if (steps === null || from === null || fails === null || speed === null)
    return `A job has whole steps, at most ${STEPS_MOST}.`
  const job: RunningJob = jobs.get(id) ?? {
    steps: Math.max(1, Math.floor(steps)),
    from: Math.floor(from),
    since: Date.now(),
    every: STEP_EVERY / Math.max(0.01, speed),
    paused: null,
    heardAt: Date.now(),
    ...(fails && { failsAt: Math.floor(fails) }),
  }
  return {
    key: id,
    begin(send) {
      jobs.set(id, job)
      forget(Date.now())
      let told = Math.floor(from)
      const look = () => {
        job.heardAt = Date.now()
        const step = stepAt(job, job.heardAt)
        while (told < step) send({ kind: 'step', step: ++told, log: logOf(told, job.steps) })
        const end = ending(job, step)
        if (!end) return
        send(end)
        jobs.delete(id)
        clearInterval(timer)
      }
      const timer = setInterval(look, LOOK_EVERY)
      look()
      return () => clearInterval(timer)
    },
  }
}
