import { createEndpoint, type Remote, wrap } from 'comlink'
import { expected } from '@/store/faults'
import { NO_WORKERS, setHealth, WORKERS_RUN } from './health'
import { Unloaded } from './unloaded'
import { Silent, within } from './within'
import type { Working } from './working'

/** Something that is done off the page where the browser lets it, else on it. */
export interface OffPage<Api> {
  /** A worker made for it; its script exposes the same as `onPage` brings. */
  worker(): Worker
  onPage(): Promise<Api>
}

/** A worker that has not begun by then, or ends nothing by then, is given up, in milliseconds. */
const BEGINS_WITHIN = 8000
const ENDS_WITHIN = 120_000

/** A worker that cannot start, died or did not begin: the work is begun again, elsewhere. */
class Gone extends Error {}

/**
 * Asks a worker that was made for it, off the page. It is let go with its answer, with its fault, or
 * when the person ends it. One that cannot start, dies or does not begin is started once more; then
 * the page does the work itself.
 * @throws what `fault` makes of why, or that its code did not come
 */
export async function offPage<Api extends object, Answer>(
  { worker, onPage }: OffPage<Api>,
  working: Pick<Working, 'signal' | 'shelf'>,
  ask: (api: Remote<Api>) => Promise<Answer>,
  fault: (why: string) => Error,
): Promise<Answer> {
  for (let tries = 0; tries < 2; tries++) {
    try {
      const answer = await askWorker(worker, working, ask, fault)
      setHealth(working.shelf, 'workers', WORKERS_RUN)
      return answer
    } catch (error) {
      if (!(error instanceof Gone)) throw error
    }
  }
  setHealth(working.shelf, 'workers', NO_WORKERS)
  const api = await onPage().catch(() => {
    throw new Unloaded()
  })
  // It answers at once where a worker would later; who asks waits for both.
  return ask(api as unknown as Remote<Api>)
}

/** What looks after something off the page for as long as it is wanted. */
export interface Place<Api> {
  api: Remote<Api>
  close(): void
}

/**
 * A worker that is kept until it is closed, or the page where none starts.
 * @param died is told when the worker died after it had begun
 * @throws Unloaded where its code did not come
 */
export async function placeOffPage<Api extends object>(
  { worker, onPage }: OffPage<Api>,
  shelf: Working['shelf'],
  died: () => void,
): Promise<Place<Api>> {
  const begun = await begin<Api>(worker).catch(expected('the page does it then, and tells', null))
  setHealth(shelf, 'workers', begun ? WORKERS_RUN : NO_WORKERS)
  if (begun) {
    void begun.over.catch(died)
    return { api: begun.api, close: () => begun.worker.terminate() }
  }
  const api = await onPage().catch(() => {
    throw new Unloaded()
  })
  // It answers at once where a worker would later; who asks waits for both.
  return { api: api as unknown as Remote<Api>, close: () => {} }
}

interface Begun<Api> {
  worker: Worker
  api: Remote<Api>
  /** Fails when the worker does. */
  over: Promise<never>
}

/** @throws Gone when it does not begin */
async function begin<Api>(make: () => Worker): Promise<Begun<Api>> {
  let worker: Worker
  try {
    worker = make()
  } catch {
    throw new Gone()
  }
  const over = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault()
      reject(new Gone())
    })
  })
  try {
    const api = wrap<Api>(worker)
    // It answers this as soon as its script runs.
    await Promise.race([within(api[createEndpoint](), BEGINS_WITHIN, 'The worker'), over])
    return { worker, api, over }
  } catch {
    worker.terminate()
    throw new Gone()
  }
}

async function askWorker<Api extends object, Answer>(
  make: () => Worker,
  { signal }: Pick<Working, 'signal'>,
  ask: (api: Remote<Api>) => Promise<Answer>,
  fault: (why: string) => Error,
): Promise<Answer> {
  const ended = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(fault('you ended it')), { once: true })
  })
  const beginning = begin<Api>(make)
  try {
    const { api, over } = await Promise.race([beginning, ended])
    const done = within(ask(api), ENDS_WITHIN, 'The worker').catch((why: Error) => {
      // What it says is wrong with what it was given would be wrong again elsewhere.
      if (!(why instanceof Silent)) throw why
      throw fault('it takes too long')
    })
    return await Promise.race([done, over, ended])
  } finally {
    void beginning.then(({ worker }) => worker.terminate(), expected('there is none to end'))
  }
}
