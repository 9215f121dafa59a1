import { type OffPage, offPage } from '@/store/offPage'
import type { Working } from '@/store/working'
import { FileProblem } from '../contract'
import type { TableContent } from './content'
import type { reading } from './reading'

const READING: OffPage<typeof reading> = {
  worker: () => new Worker(new URL('./csv.worker.ts', import.meta.url), { type: 'module' }),
  onPage: async () => (await import('./reading')).reading,
}

/** A table from text, read off the page; ended when the person wants. @throws FileProblem */
export async function readLarge(text: string, working: Working): Promise<TableContent> {
  const found = await offPage(
    READING,
    working,
    async (csv) => await csv.read(text),
    (why) => new FileProblem(why),
  )
  if ('problem' in found) throw new FileProblem(found.problem)
  return found.content
}
