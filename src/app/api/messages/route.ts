import { MESSAGE_EVERY, messageAt } from '@/outside/messages'
import { eventStream, isRunning, numberIn, unavailable } from '@/outside/streams'

/** Messages after a number, one now and then. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams
  const seed = numberIn(query, 'seed', 1)
  const speed = Math.max(0.01, numberIn(query, 'speed', 1))
  let number = numberIn(query, 'after', 0)
  return eventStream(query.get('key') ?? '', request.signal, (send) => {
    const timer = setInterval(() => send(messageAt(seed, ++number)), MESSAGE_EVERY / speed)
    return () => clearInterval(timer)
  })
}

/** Takes a reply. */
export async function POST(request: Request): Promise<Response> {
  const { key, text } = (await request.json().catch(() => ({}))) as Record<string, unknown>
  if (typeof key !== 'string' || typeof text !== 'string' || !text.trim())
    return Response.json({ error: 'A reply needs a key and a text.' }, { status: 400 })
  return isRunning(key) ? Response.json({ ok: true }) : unavailable()
}
