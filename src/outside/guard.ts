/** What the server takes: requests of its own pages only, and no more of them than it can hold. */

/** The hosts this server goes by, as the configuration says; by itself only this machine. */
const HOSTS = (process.env.KITE_SHELF_HOSTS ?? '').split(',').filter(Boolean)

const isThisMachine = (host: string): boolean =>
  /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/.test(host)

/** Whether a host, with its port, is this server's own. */
export const isOwnHost = (host: string, hosts = HOSTS): boolean =>
  hosts.includes(host) || (hosts.length === 0 && isThisMachine(host))

/** Why a request of any kind is not taken: pages are not served under a forged host either. */
export const refusedAtAll = ({ headers }: Pick<Request, 'headers'>): Response | null =>
  isOwnHost(headers.get('host') ?? '') ? null : problem(NOT_OURS, 421)

const NOT_OURS = 'This server does not go by that name.'

/**
 * Why a request is not taken, or null. The browser says where it comes from (Sec-Fetch-Site); an
 * older one at least its origin. A forged host is not believed.
 */
export function refusal(headers: Headers, hosts = HOSTS): Response | null {
  const host = headers.get('host') ?? ''
  if (!isOwnHost(host, hosts)) return problem(NOT_OURS, 421)
  const site = headers.get('sec-fetch-site')
  if (site !== null) return site === 'same-origin' ? null : problem(OTHERS, 403)
  const origin = headers.get('origin')
  return origin === null || originHost(origin) === host ? null : problem(OTHERS, 403)
}

const OTHERS = 'Only pages of Kite Shelf itself are answered.'

const originHost = (origin: string): string | null => {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}

export const problem = (error: string, status: number): Response =>
  Response.json({ error }, { status })

/** The longest body that is read, in bytes. */
const BODY_MOST = 16_384

/** What was sent as a JSON object, or the answer to what is not one, or too long. */
export async function bodyOf(request: Request): Promise<Record<string, unknown> | Response> {
  const body = await read(request.body?.getReader())
  if (!body) return problem('That is too long.', 413)
  try {
    const parsed: unknown = JSON.parse(body.toString('utf8'))
    if (typeof parsed === 'object' && parsed !== null && !Array.isArray(parsed))
      return parsed as Record<string, unknown>
  } catch {
    // Told below.
  }
  return problem('Send a JSON object.', 400)
}

/** All of a body, or null where it is too long. */
async function read(
  reader: ReadableStreamDefaultReader<Uint8Array> | undefined,
): Promise<Buffer | null> {
  const chunks: Uint8Array[] = []
  let length = 0
  for (;;) {
    const { done, value } = (await reader?.read().catch(() => null)) ?? { done: true }
    if (done || !value) break
    length += value.length
    if (length > BODY_MOST) {
      await reader?.cancel()
      return null
    }
    chunks.push(value)
  }
  return Buffer.concat(chunks)
}

/** Keys by which services are asked for: nothing every object has, and no longer than needed. */
export const isKey = (value: unknown): value is string =>
  typeof value === 'string' &&
  value.length > 0 &&
  value.length <= 200 &&
  !(value in Object.prototype)
