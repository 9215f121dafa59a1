import { type Asked, keepPages, type Lasting, type Worker } from './worker'

const ORIGIN = 'http://shelf.test'
const FILES = ['/demo', '/_next/static/one.js']

/** A browser with a server behind it that can be cut off, and what was kept by earlier builds. */
function browser(...earlier: string[]) {
  const caches = new Map<string, Map<string, Response>>()
  for (const name of earlier) caches.set(name, new Map())
  const asked: string[] = []
  const does = new Map<string, (event: Lasting & Asked) => void>()
  const net = { there: true, answers: 'new' }
  const fetch = async (request: string | Request) => {
    const path = typeof request === 'string' ? request : new URL(request.url).pathname
    asked.push(path)
    if (!net.there) throw new TypeError('no connection')
    const answer = new Response(`${net.answers} ${path}`)
    Object.defineProperty(answer, 'url', { value: ORIGIN + (path === '/' ? '/demo' : path) })
    return answer
  }
  const open = async (name: string) => {
    const kept = caches.get(name) ?? new Map<string, Response>()
    caches.set(name, kept)
    return {
      addAll: async (files: string[]) => {
        for (const file of files) kept.set(file, await fetch(file))
      },
      put: async (path: string, answer: Response) => void kept.set(path, answer),
      match: async (path: string) => kept.get(path)?.clone(),
    }
  }
  const worker = {
    location: { origin: ORIGIN },
    clients: { claim: async () => {} },
    caches: {
      open,
      keys: async () => [...caches.keys()],
      delete: async (one: string) => caches.delete(one),
    },
    fetch,
    addEventListener: (kind: string, handler: (event: Lasting & Asked) => void) =>
      does.set(kind, handler),
  } as unknown as Worker
  /** @returns what is answered, or null where the browser is left to itself */
  const ask = async (path: string, mode = 'navigate', method = 'GET') => {
    const answers: Promise<Response>[] = []
    const request = { url: path.startsWith('/') ? ORIGIN + path : path, mode, method } as Request
    const respondWith = (answer: Promise<Response>) => answers.push(answer)
    does.get('fetch')?.({ request, respondWith, waitUntil: () => {} })
    return (await answers[0]) ?? null
  }
  const happen = async (kind: 'install' | 'activate') => {
    const works: Promise<unknown>[] = []
    const event = { waitUntil: (work: Promise<unknown>) => works.push(work) }
    does.get(kind)?.(event as unknown as Lasting & Asked)
    await Promise.all(works)
  }
  return { worker, caches, asked, net, ask, happen }
}

async function kept(...earlier: string[]) {
  const one = browser(...earlier)
  keepPages(one.worker, 'b2', FILES)
  await one.happen('install')
  await one.happen('activate')
  one.asked.length = 0
  return one
}

test('a page is the server’s while that answers, and as it was kept with its scripts when not', async () => {
  const { ask, net } = await kept()
  net.answers = 'newer'
  expect(await (await ask('/demo?displays=one'))?.text()).toBe('newer /demo')
  net.there = false
  expect(await (await ask('/demo?displays=one'))?.text()).toBe('new /demo')
  const first = await ask('/')
  expect([first?.status, first?.headers.get('location')]).toEqual([302, `${ORIGIN}/demo`])
  await expect(ask('/shelf')).rejects.toThrow('no connection')
})

test('what never changes under its name is not asked for again; what is not kept is', async () => {
  const { ask, asked } = await kept()
  expect(await (await ask('/_next/static/one.js', 'no-cors'))?.text()).toBe(
    'new /_next/static/one.js',
  )
  expect(asked).toEqual([])
  await ask('/_next/static/two.js', 'no-cors')
  expect(asked).toEqual(['/_next/static/two.js'])
})

test('the page of one display opens as it was last shown', async () => {
  const { ask, net } = await kept()
  await ask('/demo/display/tall')
  net.there = false
  expect(await (await ask('/demo/display/tall'))?.text()).toBe('new /demo/display/tall')
})

test('all else is left to the browser: services, what is sent, other pages', async () => {
  const { ask } = await kept()
  expect(await ask('/api/messages', 'cors')).toBeNull()
  expect(await ask('/pages/notice')).toBeNull()
  expect(await ask('/demo', 'navigate', 'POST')).toBeNull()
  expect(await ask('http://elsewhere.test/demo')).toBeNull()
})

test('what other builds kept goes; what is somebody else’s stays', async () => {
  const { caches } = await kept('kite-shelf-pages-b1', 'other')
  expect([...caches.keys()].sort()).toEqual(['kite-shelf-pages-b2', 'other'])
})

test('as the browser gets it, it knows nothing but its arguments', async () => {
  const { worker, happen, caches } = browser()
  new Function('worker', 'build', 'files', `(${keepPages})(worker, build, files)`)(
    worker,
    'b',
    FILES,
  )
  await happen('install')
  expect([...(caches.get('kite-shelf-pages-b')?.keys() ?? [])]).toEqual([...FILES, '/'])
})
