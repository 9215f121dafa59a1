import { spawn } from 'node:child_process'
import { answers, build, freePort, installPackages, next, root } from './ready.mjs'

/**
 * Installs, builds and starts the application, and resolves with its address when it answers.
 * `demo` makes the front page the demo instead of the person's own shelf.
 */
export async function serve({
  demo = false,
  from = Number(process.env.PORT) || 4180,
  quiet = false,
} = {}) {
  installPackages()
  build()
  const port = await freePort(from)
  // Nobody but this machine is answered unless it is told otherwise.
  const host = process.env.HOST ?? '127.0.0.1'
  // This machine is answered as well, whatever names it goes by: it is asked here whether it is up.
  const own = ['localhost', '127.0.0.1', host].map((name) => `${name}:${port}`)
  const hosts = [process.env.KITE_SHELF_HOSTS, ...own].filter(Boolean).join(',')
  const server = spawn(
    process.execPath,
    [next, 'start', '--hostname', host, '--port', String(port)],
    {
      cwd: root,
      stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit'],
      env: {
        ...process.env,
        KITE_SHELF_HOSTS: hosts,
        ...(demo && { KITE_SHELF_START: 'demo' }),
        NEXT_TELEMETRY_DISABLED: '1',
      },
    },
  )
  const stop = () => server.kill()
  process.once('exit', stop)
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(0))
  const address = `http://localhost:${port}`
  await answers(address)
  return { address, stop }
}
