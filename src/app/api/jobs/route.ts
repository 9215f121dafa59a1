import { bodyOf, isKey, problem, refusal } from '@/outside/guard'
import { jobs, stepAt } from '@/outside/jobs'

/** Pauses a job, lets it go on, or drops it. */
export async function POST(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const body = await bodyOf(request)
  if (body instanceof Response) return body
  const { id, action } = body
  const job = isKey(id) ? jobs.get(id) : undefined
  if (!isKey(id)) return problem('Say which job.', 400)
  // It has not begun here yet, or has ended: whoever asks has it as it is to be.
  if (!job) return Response.json({ ok: true })
  if (action === 'pause') job.paused = stepAt(job, Date.now())
  else if (action === 'go on' && job.paused !== null)
    Object.assign(job, { from: job.paused, since: Date.now(), paused: null })
  else if (action === 'drop') jobs.delete(id)
  else return problem('Say pause, go on or drop.', 400)
  return Response.json({ ok: true })
}
