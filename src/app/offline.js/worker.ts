/** What is used of a service worker; the types of the page do not have it. */
export interface Worker {
  location: { origin: string }
  clients: { claim(): Promise<void> }
  caches: Pick<CacheStorage, 'open' | 'keys' | 'delete'>
  fetch(request: string | Request): Promise<Response>
  addEventListener(kind: 'install' | 'activate', does: (event: Lasting) => void): void
  addEventListener(kind: 'fetch', does: (event: Asked) => void): void
}

export interface Lasting {
  waitUntil(work: Promise<unknown>): void
}

export interface Asked {
  request: Request
  respondWith(answer: Promise<Response>): void
}

/**
 * Keeps what the page is made of on the computer, so that the shelf opens without a connection too.
 * A page comes from the server as long as that answers, otherwise as it was kept with the scripts it
 * was built with. Scripts, styles and fonts never change under their name: they come from here, so
 * that a page that is open goes on after the server has newer ones.
 *
 * It is sent to the browser as text: nothing but its arguments is known to it there.
 * @param build of which what is kept is; what is kept of others goes when no page needs it
 * @param files addresses of pages and of what they are made of
 */
export function keepPages(worker: Worker, build: string, files: string[]): void {
  const prefix = 'kite-shelf-pages-'
  const name = prefix + build
  const kept = () => worker.caches.open(name)

  const keepAll = async () => {
    const cache = await kept()
    await cache.addAll(files)
    // It leads to the demo or to the person's shelf.
    const { url } = await worker.fetch('/')
    await cache.put('/', Response.redirect(url))
  }

  const forgetOthers = async () => {
    const names = await worker.caches.keys()
    const others = names.filter((one) => one.startsWith(prefix) && one !== name)
    await Promise.all(others.map((one) => worker.caches.delete(one)))
    await worker.clients.claim()
  }

  const page = async (request: Request, path: string) => {
    try {
      const answer = await worker.fetch(request)
      // The page of one display: there are as many as there are displays.
      if (answer.ok && path.includes('/display/')) await (await kept()).put(path, answer.clone())
      return answer
    } catch (error) {
      const found = await (await kept()).match(path)
      if (found) return found
      throw error
    }
  }

  const part = async (request: Request, path: string) => {
    const found = await (await kept()).match(path)
    // A kept answer has the address it was kept under, and a worker's script would be told that one:
    // what it needs stands behind the address it was asked for by. A new answer has none of its own.
    return found ? new Response(found.body, found) : worker.fetch(request)
  }

  worker.addEventListener('install', (event) => event.waitUntil(keepAll()))
  worker.addEventListener('activate', (event) => event.waitUntil(forgetOthers()))
  worker.addEventListener('fetch', (event) => {
    const { request } = event
    const { origin, pathname } = new URL(request.url)
    if (request.method !== 'GET' || origin !== worker.location.origin) return
    if (pathname.startsWith('/_next/static/')) event.respondWith(part(request, pathname))
    else if (request.mode === 'navigate' && /^\/($|demo|shelf)/.test(pathname))
      event.respondWith(page(request, pathname))
  })
}
