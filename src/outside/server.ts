import type { IncomingMessage, ServerResponse } from 'node:http'

/** How long a request may take to come whole, in milliseconds. */
export const COMES_WITHIN = 15_000

/** What is used of a server: all that happens to it goes through here. */
interface Emitting {
  emit(event: string, ...args: unknown[]): boolean
}

/**
 * Refuses what would be an error further in: methods that no request can be made of there (TRACE,
 * CONNECT), and requests that come so slowly that they hold a connection for long.
 * @param server what servers are made of, so that it holds for one that is there already
 */
export function guardServer(server: Emitting): void {
  const { emit } = server
  server.emit = function (this: Emitting, event: string, ...args: unknown[]) {
    if (event !== 'request') return emit.call(this, event, ...args)
    const [request, answer] = args as [IncomingMessage, ServerResponse]
    if (['TRACE', 'TRACK', 'CONNECT'].includes(request.method ?? '')) {
      refuse(answer, 405)
      return true
    }
    const timer = setTimeout(() => {
      if (request.complete || answer.headersSent) return
      refuse(answer, 408)
      request.destroy()
    }, COMES_WITHIN)
    answer.once('close', () => clearTimeout(timer))
    return emit.call(this, event, ...args)
  }
}

function refuse(answer: ServerResponse, status: number): void {
  answer.writeHead(status, { connection: 'close' }).end()
}
