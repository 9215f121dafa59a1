import { type Remote, wrap } from 'comlink'
import { Unloaded } from './unloaded'
import type { Working } from './working'

/**
 * Asks a worker that was made for it, off the page. It is let go with its answer, with its fault, or
 * when the person ends it.
 * @throws what `fault` makes of why, or that its code did not come
 */
export async function offPage<Api, Answer>(
  worker: Worker,
  { signal }: Pick<Working, 'signal'>,
  ask: (api: Remote<Api>) => Promise<Answer>,
  fault: (why: string) => Error,
): Promise<Answer> {
  const over = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(fault('you ended it')), { once: true })
    worker.addEventListener('error', (event) => {
      // A script that does not come has no message, one that it needs in turn has this one.
      const came = event instanceof ErrorEvent && !event.message.includes('NetworkError')
      reject(came ? fault('it cannot be read') : new Unloaded())
    })
  })
  try {
    return await Promise.race([ask(wrap<Api>(worker)), over])
  } finally {
    worker.terminate()
  }
}
