import { problem, refusal } from '@/outside/guard'
import { jobSource } from '@/outside/jobs'
import { messageSource } from '@/outside/messages'
import { eventStream, type Source } from '@/outside/streams'

const SERVICES = new Map([
  ['messages', messageSource],
  ['job', jobSource],
])

/** How many sources a page may listen to at once, and how long each may be asked for. */
const SOURCES_MOST = 100
const ASKED_MOST = 500

/** Tells what is asked for: `listen` once for each source, a query that names the service. */
export function GET(request: Request): Response {
  const refused = refusal(request.headers)
  if (refused) return refused
  const asked = new URL(request.url).searchParams.getAll('listen')
  if (asked.length > SOURCES_MOST || asked.some((text) => text.length > ASKED_MOST))
    return problem(`At most ${SOURCES_MOST} things can be listened to at once.`, 413)
  const sources = asked.map((text): Source | string => {
    const query = new URLSearchParams(text)
    const service = SERVICES.get(query.get('service') ?? '')
    return service ? service(query) : 'Say what to listen to: messages or job.'
  })
  const wrong = sources.find((source) => typeof source === 'string')
  if (typeof wrong === 'string') return problem(wrong, 400)
  if (sources.length === 0) return problem('Say what to listen to: messages or job.', 400)
  return eventStream(sources as Source[], request.signal)
}
