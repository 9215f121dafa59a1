import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { keepPages } from './worker'

/** Pages that open without a connection. */
const PAGES = ['/demo', '/shelf', '/icon.svg']

/** The service worker of this build, with all that its pages may load. */
export async function GET() {
  const folder = join(process.cwd(), '.next')
  const build = await readFile(join(folder, 'BUILD_ID'), 'utf8')
  const all = await readdir(join(folder, 'static'), { recursive: true, withFileTypes: true })
  const files = all
    .filter((one) => one.isFile() && !one.name.endsWith('.map'))
    .map((one) => join(one.parentPath, one.name).slice(folder.length).replaceAll('\\', '/'))
  const given = [build, [...PAGES, ...files.map((file) => `/_next${file}`)]]
  return new Response(
    `(${keepPages})(self, ${given.map((one) => JSON.stringify(one)).join(', ')})\n`,
    { headers: { 'content-type': 'text/javascript', 'cache-control': 'no-cache' } },
  )
}
