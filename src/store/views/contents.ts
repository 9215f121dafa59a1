import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { changedBy, type Difference, difference } from './difference'

/** What is told of a document’s content: all of it, or what changed since it was told before. */
export type ToldContent = { whole: KeptContent | null } | { change: Difference | null }

/** What this view told of documents, and what the others told it. */
export class Contents {
  private sent = new Map<DocumentId, KeptContent>()
  private heard = new Map<string, Map<DocumentId, KeptContent>>()

  /** What is to be told of a document: those who have just come know nothing yet. */
  tell(document: DocumentId, content: KeptContent | null): ToldContent {
    const before = this.sent.get(document)
    if (!content) this.sent.delete(document)
    else this.sent.set(document, content)
    return before && content ? { change: difference(before, content) } : { whole: content }
  }

  /** What another view told. @returns undefined where it is not known what that stands upon */
  hear(from: string, document: DocumentId, told: ToldContent): KeptContent | null | undefined {
    const of = this.heard.get(from) ?? new Map<DocumentId, KeptContent>()
    const before = of.get(document)
    if ('change' in told && !before) return undefined
    const content =
      'whole' in told
        ? told.whole
        : told.change
          ? (changedBy(before, told.change) as KeptContent)
          : (before as KeptContent)
    if (content) this.heard.set(from, of.set(document, content))
    else of.delete(document)
    return content
  }

  /** The next time all of it is told: of one document, or of each. */
  tellWhole(document?: DocumentId): void {
    if (document === undefined) this.sent.clear()
    else this.sent.delete(document)
  }

  /** What is not wanted here is not held on to. */
  drop(from: string, document?: DocumentId): void {
    if (document === undefined) this.heard.delete(from)
    else this.heard.get(from)?.delete(document)
  }
}
