import { lookup } from 'node:dns/promises'
import { type IncomingHttpHeaders, request as plainRequest } from 'node:http'
import { request as secureRequest } from 'node:https'
import { BlockList, isIP } from 'node:net'

/** Whether a site lets itself be framed: asked of the site itself, never of a private address. */

/**
 * Whether the headers of a page let it be shown in a frame of another site (X-Frame-Options and
 * the frame-ancestors directive, which wins where both are given).
 */
export function mayBeFramed(headers: IncomingHttpHeaders): boolean {
  const ancestors = [headers['content-security-policy'] ?? '']
    .flat()
    .flatMap((policy) => policy.split(/[;,]/))
    .map((part) => part.trim().split(/\s+/))
    .find(([name]) => name?.toLowerCase() === 'frame-ancestors')
  if (ancestors) return ancestors.includes('*')
  return !headers['x-frame-options']
}

/** Two lists: one of mapped addresses would take every address of the old kind for reserved. */
const reserved4 = new BlockList()
const reserved6 = new BlockList()
/** Special-purpose addresses (IANA registries, RFC 6890): this machine, private and test networks. */
for (const [subnet, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const)
  reserved4.addSubnet(subnet, bits, 'ipv4')
for (const [subnet, bits] of [
  ['::', 96],
  ['::ffff:0:0', 96],
  ['::ffff:0:0:0', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['100::', 64],
  ['100:0:0:1::', 64],
  ['2001::', 23],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['3fff::', 20],
  ['5f00::', 16],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
] as const)
  reserved6.addSubnet(subnet, bits, 'ipv6')

/** Whether an address is this machine's, a private network's or otherwise not of the public web. */
export function isPrivate(address: string): boolean {
  const family = isIP(address)
  if (family === 0) return true
  return family === 6 ? reserved6.check(address, 'ipv6') : reserved4.check(address, 'ipv4')
}

export type Framing =
  | { framed: boolean }
  /** It is not known, and why. */
  | { framed: null; why: string }

interface Asked {
  status: number
  headers: IncomingHttpHeaders
}

/** How the web is reached; another way in tests. */
interface Web {
  resolve(hostname: string): Promise<string[]>
  /** Asks at an address that was looked at, whatever the name may stand for by then. */
  ask(url: URL, method: string, address: string, signal: AbortSignal): Promise<Asked>
}

const WEB: Web = {
  resolve: async (hostname) =>
    (await lookup(hostname, { all: true })).map(({ address }) => address),
  ask: (url, method, address, signal) =>
    new Promise((resolve, reject) => {
      const request = url.protocol === 'https:' ? secureRequest : plainRequest
      const pinned = request(
        url,
        {
          method,
          signal,
          agent: false,
          headers: { accept: 'text/html', 'user-agent': 'Kite Shelf' },
          lookup: (_name, options, done) => {
            const found = { address, family: isIP(address) }
            if (options.all) (done as (e: null, all: object[]) => void)(null, [found])
            else done(null, address, found.family)
          },
        },
        (answer) => {
          // The headers are all that is wanted.
          answer.destroy()
          resolve({ status: answer.statusCode ?? 0, headers: answer.headers })
        },
      )
      pinned.on('error', reject)
      pinned.end()
    }),
}

/** How often it is sent elsewhere, and how long all of it may take, in milliseconds. */
const HOPS = 5
const PATIENCE = 4000

/**
 * Whether the page at an address lets itself be framed here. Every hop is looked at anew.
 * @param here the host of this server, which does not ask itself
 */
export async function framingOf(start: URL, here: string, web = WEB): Promise<Framing> {
  const signal = AbortSignal.timeout(PATIENCE)
  let url = start
  for (let hop = 0; hop <= HOPS; hop++) {
    if (!/^https?:$/.test(url.protocol))
      return { framed: null, why: 'It leads to an address that is not of the web.' }
    if (url.host === here) return { framed: url.pathname.startsWith('/pages/') }
    try {
      const found = await addressOf(url, web)
      if (found === null) return { framed: null, why: 'Private addresses are not asked.' }
      let answer = await web.ask(url, 'HEAD', found, signal)
      if (answer.status === 405 || answer.status === 501)
        answer = await web.ask(url, 'GET', found, signal)
      const next = answer.status >= 300 && answer.status < 400 && answer.headers.location
      if (!next) return { framed: mayBeFramed(answer.headers) }
      url = new URL(next, url)
    } catch {
      return { framed: null, why: 'The site does not answer.' }
    }
  }
  return { framed: null, why: 'Too many redirects.' }
}

/** The address a name stands for, or null where one of those it stands for is private. */
async function addressOf({ hostname }: URL, web: Web): Promise<string | null> {
  const bare = hostname.replace(/^\[|\]$/g, '')
  const addresses = isIP(bare) ? [bare] : await web.resolve(bare)
  const [first] = addresses
  return first !== undefined && !addresses.some(isPrivate) ? first : null
}
