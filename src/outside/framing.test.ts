import { framingOf, isPrivate, mayBeFramed } from './framing'

test('headers say whether a page lets itself be framed', () => {
  expect(mayBeFramed({})).toBe(true)
  expect(mayBeFramed({ 'x-frame-options': 'DENY' })).toBe(false)
  expect(mayBeFramed({ 'x-frame-options': 'SAMEORIGIN' })).toBe(false)
  const policy = { 'content-security-policy': "default-src 'self'; frame-ancestors 'self'" }
  expect(mayBeFramed(policy)).toBe(false)
  const open = { 'content-security-policy': 'frame-ancestors *' }
  expect(mayBeFramed({ ...open, 'x-frame-options': 'DENY' })).toBe(true)
})

test('this machine, private and reserved networks are private, whatever way they are written', () => {
  const ours = ['0.0.0.0', '127.0.0.1', '10.1.2.3', '172.20.0.1', '169.254.169.254', '192.168.0.9']
  for (const address of [
    ...ours,
    '::1',
    '::',
    '::ffff:127.0.0.1',
    '::ffff:7f00:1',
    'fd00::1',
    '::ffff:0:7f00:1',
    '3fff::1',
    '5f00::1',
    '100:0:0:1::1',
  ])
    expect([address, isPrivate(address)]).toEqual([address, true])
  for (const address of ['fe80::1', '100.64.0.1', '224.0.0.1', '64:ff9b::7f00:1', 'nowhere'])
    expect([address, isPrivate(address)]).toEqual([address, true])
  for (const address of ['93.184.216.34', '172.40.0.1', '2606:2800:220:1::1'])
    expect([address, isPrivate(address)]).toEqual([address, false])
})

/** A made-up web: what names stand for and what pages answer. */
function web(
  names: Record<string, string[]>,
  pages: Record<string, { status?: number; location?: string; 'x-frame-options'?: string }> = {},
) {
  const asked: string[] = []
  const ask = (address: string) =>
    framingOf(new URL(address), 'localhost:4180', {
      resolve: async (name) => {
        const found = names[name]
        if (!found) throw new Error('no such name')
        return found
      },
      ask: async (url, method, at) => {
        asked.push(`${method} ${url.href} at ${at}`)
        const { status = 200, ...headers } = pages[url.href] ?? {}
        return { status: method === 'GET' ? 200 : status, headers }
      },
    })
  return { ask, asked }
}

test('a public page is asked at the address that was looked at', async () => {
  const { ask, asked } = web({ 'snow.test': ['93.184.216.34'] })
  expect(await ask('https://snow.test/a')).toEqual({ framed: true })
  expect(asked).toEqual(['HEAD https://snow.test/a at 93.184.216.34'])
})

test.each([
  'http://127.0.0.1/',
  'http://0.0.0.0:80/',
  'http://[::1]/',
  'http://2130706433/',
  'http://0x7f.1/',
  'http://inside.test/',
  'http://both.test/',
])('%s is not asked', async (address) => {
  const { ask, asked } = web({
    'inside.test': ['10.0.0.7'],
    'both.test': ['93.184.216.34', '192.168.1.1'],
  })
  expect(await ask(address)).toEqual({ framed: null, why: 'Private addresses are not asked.' })
  expect(asked).toEqual([])
})

test('every address it is sent to is looked at too', async () => {
  const { ask, asked } = web(
    { 'out.test': ['93.184.216.34'], 'in.test': ['127.0.0.1'], 'x.test': ['93.184.216.35'] },
    {
      'https://out.test/': { status: 302, location: 'http://in.test/secret' },
      'https://out.test/ring': { status: 301, location: '/ring' },
      'https://out.test/file': { status: 302, location: 'file:///etc/hosts' },
      'https://out.test/on': { status: 308, location: 'https://x.test/' },
      'https://x.test/': { 'x-frame-options': 'DENY' },
    },
  )
  expect(await ask('https://out.test/')).toMatchObject({
    framed: null,
    why: expect.stringMatching(/Private/),
  })
  expect(asked).toHaveLength(1)
  expect(await ask('https://out.test/ring')).toMatchObject({
    framed: null,
    why: expect.stringMatching(/Too many/),
  })
  expect(await ask('https://out.test/file')).toMatchObject({
    framed: null,
    why: expect.stringMatching(/not of the web/),
  })
  expect(await ask('https://out.test/on')).toEqual({ framed: false })
})

test('a site that does not answer, or not to that way of asking, has not refused', async () => {
  const { ask, asked } = web(
    { 'old.test': ['93.184.216.34'] },
    { 'http://old.test/': { status: 405 } },
  )
  expect(await ask('http://gone.test/')).toMatchObject({
    framed: null,
    why: expect.stringMatching(/not answer/),
  })
  expect(await ask('http://old.test/')).toEqual({ framed: true })
  expect(asked.map((one) => one.split(' ')[0])).toEqual(['HEAD', 'GET'])
})

test('this server does not ask itself: of its own only the pages for frames are framed', async () => {
  const { ask, asked } = web({ localhost: ['127.0.0.1'] })
  expect(await ask('http://localhost:4180/pages/notice')).toEqual({ framed: true })
  expect(await ask('http://localhost:4180/demo')).toEqual({ framed: false })
  expect(await ask('http://localhost:9999/')).toMatchObject({ framed: null })
  expect(asked).toEqual([])
})
