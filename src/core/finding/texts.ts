import type { DocumentId } from '@/core/model/ids'
import { plain } from '@/core/text/plain'

/** A place in a text, cut to a line. */
export interface Passage {
  before: string
  match: string
  after: string
}

/** What was found in a document: each text that stands in it, with the words around it. */
export type Hit = ReadonlyMap<string, Passage>
export type Hits = ReadonlyMap<DocumentId, Hit>

/** The query as it is looked for: as a whole, and its words. */
const soughtFor = (typed: string): string[] => {
  const query = plain(typed.trim())
  return query ? [...new Set([query, ...query.split(/\s+/)])] : []
}

/** The words of documents, looked through as a whole. Made off the page, where it can take its time. */
export class Texts {
  private all = new Map<DocumentId, Read>()

  /** Takes what stands in documents, whatever the shape of their content. */
  read(contents: [DocumentId, unknown][]): void {
    for (const [id, content] of contents) {
      const written = wordsIn(content)
      this.all.set(id, { written, given: plain(written) })
    }
  }

  /** The documents in which the query or one of its words stands, capitals and accents aside. */
  look(typed: string): Hits {
    const sought = soughtFor(typed)
    const hits = new Map<DocumentId, Hit>()
    for (const [id, read] of this.all) {
      const hit = new Map<string, Passage>()
      for (const one of sought) {
        const at = read.given.indexOf(one)
        if (at >= 0) hit.set(one, passageIn(read, at, one))
      }
      if (hit.size > 0) hits.set(id, hit)
    }
    return hits
  }
}

interface Read {
  /** As it is written. */
  written: string
  /** Without capitals and accents. */
  given: string
}

/** What says how a content is made, not what stands in it. */
const MADE_OF = new Set(['id', 'kind', 'encoding', 'by', 'state'])

/** Pictures and sounds have no words. */
const isData = (text: string): boolean => text.startsWith('data:')

/** All that stands in a content, whatever its shape. */
export function wordsIn(content: unknown): string {
  const found: string[] = []
  const gather = (value: unknown) => {
    if (typeof value === 'string') {
      if (value && !isData(value)) found.push(value)
    } else if (typeof value === 'object' && value)
      for (const [name, part] of Object.entries(value)) if (!MADE_OF.has(name)) gather(part)
  }
  gather(content)
  return found.join(' ')
}

/** How much of a text is shown around what was found, in characters. */
const AROUND = 48

function passageIn({ written, given }: Read, found: number, sought: string): Passage {
  // Without accents a text may be shorter: there it is found again as it is written, where it can be.
  const at = written.length === given.length ? found : written.toLowerCase().indexOf(sought)
  if (at < 0) return { before: '', match: '', after: lineOf(written, 0, 2 * AROUND) }
  const end = at + sought.length
  return {
    before: `${at > AROUND ? '…' : ''}${lineOf(written, at - AROUND, at)}`,
    match: written.slice(at, end),
    after: `${lineOf(written, end, end + AROUND)}${end + AROUND < written.length ? '…' : ''}`,
  }
}

const lineOf = (written: string, from: number, to: number): string =>
  written.slice(Math.max(0, from), to).replace(/\s+/g, ' ')
