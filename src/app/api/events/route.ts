import { jobSource } from '@/outside/jobs'
import { messageSource } from '@/outside/messages'
import { eventStream } from '@/outside/streams'

const SERVICES = { messages: messageSource, job: jobSource }

/** Tells what is asked for: `listen` once for each source, a query that names the service. */
export function GET(request: Request): Response {
  const asked = new URL(request.url).searchParams.getAll('listen')
  const sources = asked.flatMap((text) => {
    const query = new URLSearchParams(text)
    const service = SERVICES[query.get('service') as keyof typeof SERVICES]
    return service ? [service(query)] : []
  })
  if (sources.length < Math.max(1, asked.length))
    return Response.json({ error: 'Say what to listen to: messages or job.' }, { status: 400 })
  return eventStream(sources, request.signal)
}
