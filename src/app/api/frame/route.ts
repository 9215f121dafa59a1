import { framingOf } from '@/outside/framing'
import { problem, refusal } from '@/outside/guard'

/** Whether a page lets itself be framed, by its headers; only the answer to that is passed on. */
export async function GET(request: Request): Promise<Response> {
  const refused = refusal(request.headers)
  if (refused) return refused
  const given = new URL(request.url).searchParams.get('address') ?? ''
  const address = given.length <= 2000 && URL.canParse(given) ? new URL(given) : null
  if (!address || !/^https?:$/.test(address.protocol))
    return problem('Only http and https addresses.', 400)
  return Response.json(await framingOf(address, request.headers.get('host') ?? ''))
}
