import { isRunning } from '@/outside/streams'

/** Takes a reply. */
export async function POST(request: Request): Promise<Response> {
  const { key, text } = (await request.json().catch(() => ({}))) as Record<string, unknown>
  if (typeof key !== 'string' || typeof text !== 'string' || !text.trim())
    return Response.json({ error: 'A reply needs a key and a text.' }, { status: 400 })
  return isRunning(key)
    ? Response.json({ ok: true })
    : new Response('The service is down.', { status: 503 })
}
