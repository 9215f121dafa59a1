import { bodyOf, isKey, problem, refusal } from '@/outside/guard'
import { setRunning } from '@/outside/streams'

/** Stops or starts a simulated service for one key, to see what its app does without it. */
export async function PUT(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const body = await bodyOf(request)
  if (body instanceof Response) return body
  const { key, running } = body
  if (!isKey(key) || typeof running !== 'boolean')
    return problem('Say which key, and whether it runs.', 400)
  return setRunning(key, running)
    ? Response.json({ key, running })
    : problem('Too many services are down already.', 429)
}
