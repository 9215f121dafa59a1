import { readdir, readFile } from 'node:fs/promises'
import { extname, join } from 'node:path'
import { keepPages } from './worker'

/** Pages that open without a connection. */
const PAGES = ['/demo', '/shelf', '/icon.svg']

/** The service worker of this build, with all that its pages may load. */
export async function GET() {
  const folder = join(process.cwd(), '.next')
  const build = await readFile(join(folder, 'BUILD_ID'), 'utf8')
  const all = await readdir(join(folder, 'static'), { recursive: true })
  // Folders have no dot in their names; maps are for those who look into scripts.
  const files = all.filter((one) => !['', '.map'].includes(extname(one)))
  const parts = files.map((one) => `/_next/static/${one.replaceAll('\\', '/')}`)
  const given = [build, [...PAGES, ...parts]]
  return new Response(
    `(${keepPages})(self, ${given.map((one) => JSON.stringify(one)).join(', ')})\n`,
    { headers: { 'content-type': 'text/javascript', 'cache-control': 'no-cache' } },
  )
}
