import { jobs, stepAt } from '@/outside/jobs'

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
