import { addressOf, blobOf } from '@/parts/dataAddress'
import { scaled } from '@/parts/scaled'
import type { ReaderContent } from '../../reader/content'
import type { Input, Outcome, Step } from './outcome'
import type { Work } from './works'

/** How much of a photograph's detail is kept, as encoders count it. */
const QUALITY = 0.9

/** Pictures of which no side is longer than wanted, each beside the one it was made of. */
export async function* resized(
  work: Extract<Work, { kind: 'resize' }>,
  inputs: Input[],
): AsyncGenerator<Step> {
  const rows: string[][] = []
  const made: Outcome['made'] = []
  for (const [at, { title, content }] of inputs.entries()) {
    const told = await smaller(content as ReaderContent | null, work.most).catch(
      () => 'can’t be read',
    )
    const share = (at + 1) / inputs.length
    if (typeof told === 'string') {
      rows.push([title, '', told])
      yield { share, log: `${title}: ${told}` }
    } else {
      rows.push([title, told.before, told.after])
      made.push({ title: `${title}, ${told.after}`, content: told.content })
      yield { share, log: `${title}: ${told.before} → ${told.after}` }
    }
  }
  yield {
    share: 1,
    outcome: { table: { columns: ['picture', 'before', 'after'], rows }, changed: [], made },
  }
}

/** @returns the picture with its sizes, or why there is none */
async function smaller(
  content: ReaderContent | null,
  most: number,
): Promise<{ content: ReaderContent; before: string; after: string } | string> {
  if (content?.kind !== 'picture') return 'not a picture'
  const blob = blobOf(content.data)
  if (blob.type === 'image/svg+xml') return 'a drawing has no pixels'
  const { file, before, after } = await scaled(blob, most, { type: blob.type, quality: QUALITY })
  const [from, to] = [before.join(' × '), after.join(' × ')]
  if (from === to) return `already ${from}`
  return { content: { kind: 'picture', data: await addressOf(file) }, before: from, after: to }
}
