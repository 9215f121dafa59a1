import { bodyOf, isKey, problem, refusal } from '@/outside/guard'
import { jobSource } from '@/outside/jobs'
import { messageSource } from '@/outside/messages'
import { eventStream, leave, listen, type Source } from '@/outside/streams'

const SERVICES = new Map([
  ['messages', messageSource],
  ['job', jobSource],
])

/** How much is asked for at once, and how long each may be asked for. */
const ASKED_AT_ONCE = 100
const ASKED_MOST = 500

/** Opens the stream of a page; what it is told is asked for by `POST`. */
export function GET(request: Request): Response {
  const refused = refusal(request.headers)
  if (refused) return refused
  const page = new URL(request.url).searchParams.get('page')
  return isKey(page) ? eventStream(page, request.signal) : problem('Say which page listens.', 400)
}

/**
 * Says what a page listens to (`listen`: queries that name the service) and what it does not any more
 * (`leave`: keys). What is refused is named, by its key; all else is done.
 */
export async function POST(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const body = await bodyOf(request)
  if (body instanceof Response) return body
  const { page } = body
  const asked = texts(body.listen)
  const left = texts(body.leave)
  if (!isKey(page) || !asked || !left)
    return problem(
      `Say which page, and at most ${ASKED_AT_ONCE} things to listen to or leave.`,
      400,
    )
  const wrong: Record<string, string> = {}
  const sources: Source[] = []
  for (const text of asked) {
    const query = new URLSearchParams(text)
    const service = SERVICES.get(query.get('service') ?? '')
    const source = service ? service(query) : 'There is no such service.'
    if (typeof source === 'string') wrong[query.get('key') ?? ''] = source
    else sources.push(source)
  }
  leave(page, left)
  const over = listen(page, sources)
  if (!over) return problem('No such page listens.', 404)
  for (const key of over) wrong[key] = 'The page listens to too much already.'
  return Response.json({ wrong })
}

function texts(given: unknown): string[] | null {
  if (given === undefined) return []
  const sound =
    Array.isArray(given) &&
    given.length <= ASKED_AT_ONCE &&
    given.every((one) => typeof one === 'string' && one.length <= ASKED_MOST)
  return sound ? (given as string[]) : null
}
