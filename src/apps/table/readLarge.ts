import { offPage } from '@/store/offPage'
import type { Working } from '@/store/working'
import { FileProblem } from '../contract'
import type { reading } from './csv.worker'
import type { TableContent } from './manifest'

/** A table from text, read off the page; ended when the person wants. @throws FileProblem */
export async function readLarge(text: string, working: Working): Promise<TableContent> {
  const found = await offPage<typeof reading, Awaited<ReturnType<typeof reading.read>>>(
    new Worker(new URL('./csv.worker.ts', import.meta.url), { type: 'module' }),
    working,
    (csv) => csv.read(text),
    (why) => new FileProblem(why),
  )
  if ('problem' in found) throw new FileProblem(found.problem)
  return found.content
}
