import { request, Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { COMES_WITHIN, guardServer } from './server'

/** A server that answers when all of a request has come. */
async function serving(ask: (port: number) => Promise<void>): Promise<void> {
  class Guarded extends Server {}
  guardServer(Guarded.prototype)
  const server = new Guarded((asked, answer) => {
    asked.resume()
    asked.on('end', () => answer.end('answered'))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  try {
    await ask((server.address() as AddressInfo).port)
  } finally {
    server.closeAllConnections()
    server.close()
  }
}

const status = (port: number, method: string, more = (_: ReturnType<typeof request>) => {}) =>
  new Promise<number>((resolve, reject) => {
    const asked = request({ port, method, host: '127.0.0.1' }, (answer) => {
      answer.resume()
      resolve(answer.statusCode ?? 0)
    })
    asked.on('error', reject)
    more(asked)
  })

const send = (asked: ReturnType<typeof request>) => void asked.end()

test('what no request can be made of is refused, all else is answered', () =>
  serving(async (port) => {
    expect(await status(port, 'TRACE', send)).toBe(405)
    expect(await status(port, 'GET', send)).toBe(200)
    expect(await status(port, 'POST', (asked) => asked.end('{}'))).toBe(200)
  }))

test('a request that does not come whole in time is closed', async () => {
  const at = jest.spyOn(globalThis, 'setTimeout')
  await serving(async (port) => {
    const waits = status(port, 'POST', (asked) => {
      asked.setHeader('content-length', 10)
      asked.write('{')
    })
    while (!at.mock.calls.some(([, time]) => time === COMES_WITHIN))
      await new Promise((done) => setImmediate(done))
    const [late] = at.mock.calls.find(([, time]) => time === COMES_WITHIN) ?? []
    late?.()
    expect(await waits).toBe(408)
  })
  at.mockRestore()
})
