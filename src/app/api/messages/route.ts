import { bodyOf, isKey, problem, refusal } from '@/outside/guard'
import { isRunning } from '@/outside/streams'

/** Takes a reply. */
export async function POST(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const body = await bodyOf(request)
  if (body instanceof Response) return body
  const { key, text } = body
  if (!isKey(key) || typeof text !== 'string' || !text.trim())
    return problem('A reply needs a key and a text.', 400)
  return isRunning(key) ? Response.json({ ok: true }) : problem('The service is down.', 503)
}
