import { isPrivate, mayBeFramed } from '@/outside/framing'

/** How long a site has to answer, in milliseconds. */
const PATIENCE = 4000

/** Whether a page lets itself be framed, by its headers; only the answer to that is passed on. */
export async function GET(request: Request): Promise<Response> {
  const here = new URL(request.url)
  const address = URL.parse(here.searchParams.get('address') ?? '')
  if (!address || !/^https?:$/.test(address.protocol))
    return Response.json({ error: 'Only http and https addresses.' }, { status: 400 })
  const same = address.host === request.headers.get('host')
  if (!same && isPrivate(address.hostname))
    return Response.json({ error: 'Private addresses are not asked.' }, { status: 403 })
  try {
    const answer = await fetch(address, {
      method: 'HEAD',
      redirect: 'follow',
      signal: AbortSignal.timeout(PATIENCE),
    })
    return Response.json({ framed: mayBeFramed(answer.headers, same) })
  } catch {
    return Response.json({ error: 'The site does not answer.' }, { status: 502 })
  }
}
