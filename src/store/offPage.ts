import { type Remote, wrap } from 'comlink'
import type { Working } from './working'

/**
 * Asks a worker that was made for it, off the page. It is let go with its answer, with its fault, or
 * when the person ends it.
 * @throws what `fault` makes of why
 */
export async function offPage<Api, Answer>(
  worker: Worker,
  { signal }: Pick<Working, 'signal'>,
  ask: (api: Remote<Api>) => Promise<Answer>,
  fault: (why: string) => Error,
): Promise<Answer> {
  const over = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(fault('you ended it')), { once: true })
    worker.addEventListener('error', () => reject(fault('it cannot be read')))
  })
  try {
    return await Promise.race([ask(wrap<Api>(worker)), over])
  } finally {
    worker.terminate()
  }
}
