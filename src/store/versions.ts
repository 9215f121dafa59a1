import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import type { KeptStore } from './disk/storage'
import type { Source } from './documents/source'
import { logged } from './faults'

type VersionStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

/** What a document said until a moment. */
export interface Version {
  document: DocumentId
  /** Milliseconds since 1970. */
  until: number
}

/** So often one is kept of a document that changes all the time, in milliseconds. */
export const VERSION_EVERY = 5 * 60_000
/** Of more than so much none is kept, in characters: pictures and other files seldom change. */
const LONG = 400_000
/** So many are kept at most, whatever their days. */
export const VERSIONS_MOST = 2000

/** `said-1772600000000-` and the id of the document. */
const keyOf = ({ until, document }: Version): string => `said-${until}-${document}`

function inKey(key: string): Version[] {
  const [, until, document] = /^said-(\d+)-(.+)$/.exec(key) ?? []
  return until && document ? [{ until: Number(until), document }] : []
}

type Kept = KeptContent | null

const shown = (kept: Kept): unknown => kept?.draft ?? kept?.saved ?? null

/** What documents said before they changed, to within five minutes. */
export class Versions {
  private kept = new Map<DocumentId, number>()

  constructor(
    private store: VersionStore,
    private clock: () => number,
  ) {}

  /**
   * A source of documents of which what they said is kept, before it is written over.
   * @param wanted whether any is to be kept
   */
  before(source: Source, wanted: () => boolean): Source {
    return {
      ...source,
      write: (id, content) => {
        const until = this.clock()
        const due = until - (this.kept.get(id) ?? Number.NEGATIVE_INFINITY) >= VERSION_EVERY
        if (due && wanted()) {
          this.kept.set(id, until)
          // It is asked for before it is written over; writing does not wait for it.
          void source
            .read(id)
            .then((said) => this.keep({ document: id, until }, said, content))
            .catch(logged('What a document said'))
        }
        return source.write(id, content)
      },
    }
  }

  private async keep(version: Version, was: Kept, is: Kept): Promise<void> {
    const text = JSON.stringify(shown(was))
    if (text === 'null' || text.length > LONG || text === JSON.stringify(shown(is))) return
    await this.store.setItem(keyOf(version), shown(was))
  }

  /** All there are, in order. */
  async all(): Promise<Version[]> {
    return (await this.store.keys()).flatMap(inKey).sort((a, b) => a.until - b.until)
  }

  /** @throws when it cannot be read */
  read(version: Version): Promise<unknown> {
    return this.store.getItem(keyOf(version))
  }

  /** Strikes what was said in a span, for good. */
  async strike(from: number, until: number): Promise<void> {
    for (const one of await this.all())
      if (one.until > from && one.until <= until) await this.store.removeItem(keyOf(one))
  }

  /** Strikes all that some documents said. */
  async strikeAll(documents: ReadonlySet<DocumentId>): Promise<void> {
    for (const one of await this.all())
      if (documents.has(one.document)) await this.store.removeItem(keyOf(one))
  }

  /** @param before milliseconds since 1970 */
  async forget(before: number): Promise<void> {
    const all = await this.all()
    const over = all.length - VERSIONS_MOST
    for (const [at, one] of all.entries())
      if (one.until <= before || at < over) await this.store.removeItem(keyOf(one))
  }
}

/** What a document said at a moment: the first that was kept after it; undefined where it says the same now. */
export const versionAt = (
  versions: readonly Version[],
  document: DocumentId,
  moment: number,
): Version | undefined => versions.find((one) => one.document === document && one.until > moment)
