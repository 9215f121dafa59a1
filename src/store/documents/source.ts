import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { type KeptStore, patiently } from '@/store/disk/storage'

/** Where the content of a document comes from, and goes to. */
export interface Source {
  /** @returns null where it has none. @throws when it cannot be read */
  read(id: DocumentId): Promise<KeptContent | null>
  /** @param content null takes it away. @throws when it cannot be written */
  write(id: DocumentId, content: KeptContent | null): Promise<unknown>
}

/** Keeps nothing, and has nothing. */
export const NOWHERE: Source = { read: async () => null, write: async () => {} }

/** A content as it is in the database, with the line of the log that it is as new as. */
export type Stored = KeptContent & { seq?: number }

export const isStored = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && 'saved' in value

function contentIn({ seq: _seq, ...content }: Stored): KeptContent {
  return content
}

/**
 * The database of the shelf.
 * @param spare where else a content may be, for one that the store does not have
 * @param seq the last line of the log of changes: what is written then is as new as that
 */
export const database = (
  store: Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem'>,
  { spare, seq }: { spare?: Source['read'] | undefined; seq?: () => number } = {},
): Source => ({
  async read(id) {
    try {
      const kept = await patiently(() => store.getItem(id))
      if (isStored(kept)) return contentIn(kept)
    } catch (error) {
      const copy = await spare?.(id)
      if (copy) return copy
      throw error
    }
    return (await spare?.(id)) ?? null
  },
  write: (id, content) =>
    content ? store.setItem(id, { ...content, ...(seq && { seq: seq() }) }) : store.removeItem(id),
})
