import { type Remote, wrap } from 'comlink'
import type { Working } from '@/store/working'
import { FileProblem } from '../contract'
import type { reading } from './csv.worker'
import type { TableContent } from './manifest'

/** A table from text, read off the page; ended when the person wants. @throws FileProblem */
export async function readLarge(text: string, { signal }: Working): Promise<TableContent> {
  const worker = new Worker(new URL('./csv.worker.ts', import.meta.url), { type: 'module' })
  const ended = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(new FileProblem('you ended it')), { once: true })
    worker.addEventListener('error', () => reject(new FileProblem('it cannot be read')))
  })
  try {
    const remote: Remote<typeof reading> = wrap(worker)
    const found = await Promise.race([remote.read(text), ended])
    if ('problem' in found) throw new FileProblem(found.problem)
    return found.content
  } finally {
    worker.terminate()
  }
}
