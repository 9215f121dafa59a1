import { setRunning } from '@/outside/streams'

/** Stops or starts a simulated service for one key, to see what its app does without it. */
export async function PUT(request: Request): Promise<Response> {
  const { key, running } = (await request.json().catch(() => ({}))) as Record<string, unknown>
  if (typeof key !== 'string' || typeof running !== 'boolean')
    return Response.json({ error: 'Say which key, and whether it runs.' }, { status: 400 })
  setRunning(key, running)
  return Response.json({ key, running })
}
