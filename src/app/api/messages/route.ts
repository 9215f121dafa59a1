import { bodyOf, isKey, problem, refusal } from '@/outside/guard'
import { REPLY_MOST, take } from '@/outside/replies'
import { isRunning } from '@/outside/streams'

/** Takes a reply; one that was taken before, by its id, is not taken twice. */
export async function POST(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const body = await bodyOf(request)
  if (body instanceof Response) return body
  const { key, id, text } = body
  if (!isKey(key) || typeof text !== 'string' || !text.trim())
    return problem('A reply needs a key and a text.', 400)
  if (text.length > REPLY_MOST) return problem(`A reply has ${REPLY_MOST} characters at most.`, 413)
  if (!isRunning(key)) return problem('The service is down.', 503)
  return Response.json({ ok: true, new: !isKey(id) || take(id) })
}
