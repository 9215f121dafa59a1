import { spawn } from 'node:child_process'
import { get } from 'node:http'
import { createServer } from 'node:net'
import { expect, test } from '@playwright/test'

const free = (): Promise<number> =>
  new Promise((found) => {
    const server = createServer().listen(0, () => {
      const { port } = server.address() as { port: number }
      server.close(() => found(port))
    })
  })

/** How a request under a name is answered. */
const answer = (port: number, path: string, host: string): Promise<number | undefined> =>
  new Promise((told, failed) => {
    get({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
      response.resume()
      told(response.statusCode)
    }).on('error', failed)
  })

test('started for others as docs/hosting.md tells, it answers under the names it was given', async () => {
  const port = await free()
  const server = spawn(process.execPath, ['scripts/start.mjs'], {
    env: {
      ...process.env,
      HOST: '0.0.0.0',
      PORT: String(port),
      KITE_SHELF_HOSTS: 'shelf.example.org,shelf.example.org:8443',
    },
  })
  try {
    let said = ''
    server.stdout.on('data', (part) => {
      said += part
    })
    await expect.poll(() => said, { timeout: 90_000 }).toContain(`localhost:${port}/shelf`)
    expect(await answer(port, '/shelf', 'shelf.example.org')).toBe(200)
    expect(await answer(port, '/shelf', 'shelf.example.org:8443')).toBe(200)
    expect(await answer(port, '/shelf', 'evil.example.org')).toBe(421)
    expect(await answer(port, '/shelf', 'shelf.example.org:9999')).toBe(421)
    // Up as long as nobody stops it: it was once ended because it was refused under its own name.
    expect(server.exitCode).toBeNull()
  } finally {
    server.kill()
  }
})
