import { counted } from '@/core/text/counted'
import { patternOf } from '@/parts/finding'
import type { DocumentContent } from '../../document/content'
import type { WrittenContent } from '../../reader/content'
import type { TableContent } from '../../table/content'
import type { Input, Outcome, Step } from './outcome'
import type { Work } from './works'

/** Addresses in Markdown, pictures among them: they are no words. */
const ADDRESS = /(\]\([^)]*\)|^\[[^\]]+\]: .*$|<[a-z][a-z0-9+.-]*:[^>\s]*>|\bhttps?:\/\/\S+)/gim

/** Puts other words in the place of some, document by document. */
export function* replaced(
  work: Extract<Work, { kind: 'replace' }>,
  inputs: Input[],
): Generator<Step> {
  const changed: Outcome['changed'] = []
  const rows: string[][] = []
  for (const [at, { id, app, title, content }] of inputs.entries()) {
    const words = new Words(work)
    const next = withOther(app, content, words)
    if (words.count > 0) {
      changed.push({ id, content: next })
      rows.push([title, String(words.count)])
    }
    yield {
      share: (at + 1) / inputs.length,
      ...(words.count > 0 && { log: `${title}: ${counted(words.count, 'match', 'matches')}` }),
    }
  }
  yield { share: 1, outcome: { table: { columns: ['file', 'replaced'], rows }, changed, made: [] } }
}

class Words {
  count = 0
  private readonly pattern: RegExp | null

  constructor(private readonly work: Extract<Work, { kind: 'replace' }>) {
    this.pattern = patternOf(work)
  }

  in(text: string): string {
    if (!this.pattern) return text
    return text.replace(this.pattern, () => {
      this.count++
      return this.work.instead
    })
  }

  /** In what is read; addresses stay as they are. */
  inMarkdown(text: string): string {
    return text
      .split(ADDRESS)
      .map((part, at) => (at % 2 ? part : this.in(part)))
      .join('')
  }
}

function withOther(app: string, content: unknown, words: Words): unknown {
  if (!content) return content
  if (app === 'document') {
    const document = content as DocumentContent
    return { ...document, markdown: words.inMarkdown(document.markdown) }
  }
  if (app === 'table') {
    const table = content as TableContent
    return { ...table, rows: table.rows.map((row) => row.map((cell) => words.in(cell))) }
  }
  const written = content as Partial<WrittenContent>
  if (written.kind === 'markdown') return { ...written, text: words.inMarkdown(written.text ?? '') }
  if (written.kind === 'text') return { ...written, text: words.in(written.text ?? '') }
  return content
}
