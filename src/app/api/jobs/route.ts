import { ending, jobs, logOf, type RunningJob, STEP_EVERY, stepAt } from '@/outside/jobs'
import { eventStream, numberIn } from '@/outside/streams'

/** How often a stream looks how far its job is, in milliseconds. */
const LOOK_EVERY = 250

/** Runs a job, or joins it where it is, and tells every step after the one that is known. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams
  const id = query.get('id') ?? ''
  const from = numberIn(query, 'at', 0)
  const fails = numberIn(query, 'fails', 0)
  const job: RunningJob = jobs.get(id) ?? {
    steps: Math.max(1, numberIn(query, 'steps', 10)),
    from,
    since: Date.now(),
    every: STEP_EVERY / Math.max(0.01, numberIn(query, 'speed', 1)),
    paused: null,
    ...(fails && { failsAt: fails }),
  }
  return eventStream(id, request.signal, (send) => {
    jobs.set(id, job)
    let told = from
    let timer: ReturnType<typeof setInterval> | undefined
    const look = () => {
      const step = stepAt(job, Date.now())
      while (told < step) send({ kind: 'step', step: ++told, log: logOf(told, job.steps) })
      const end = ending(job, step)
      if (!end) return
      send(end)
      jobs.delete(id)
      clearInterval(timer)
    }
    look()
    timer = setInterval(look, LOOK_EVERY)
    return () => clearInterval(timer)
  })
}

/** Pauses a job, lets it go on, or drops it. */
export async function POST(request: Request): Promise<Response> {
  const { id, action } = (await request.json().catch(() => ({}))) as Record<string, unknown>
  const job = typeof id === 'string' ? jobs.get(id) : undefined
  if (!job || typeof id !== 'string')
    return Response.json({ error: 'No job of that name runs here.' }, { status: 404 })
  if (action === 'pause') job.paused = stepAt(job, Date.now())
  else if (action === 'go on' && job.paused !== null)
    Object.assign(job, { from: job.paused, since: Date.now(), paused: null })
  else if (action === 'drop') jobs.delete(id)
  else return Response.json({ error: 'Say pause, go on or drop.' }, { status: 400 })
  return Response.json({ ok: true })
}
