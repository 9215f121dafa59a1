import { boolean, string } from 'yup'
import type { AppId, DocumentId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, flag, id, maybeMoment, moment } from '@/core/model/shaping'

/** What the shelf knows of a document; its content is kept apart. */
export interface DocumentInfo {
  id: DocumentId
  app: AppId
  title: string
  /** Typed but not saved. */
  unsaved: boolean
  openedAt: number
  /** Deleted by the person; it is kept, and can be taken back. */
  discarded?: boolean
  /** When it was; such documents go for good after a while. */
  discardedAt?: number
}

/** What is known of a document of which nothing was kept but that there is one. */
export const foundDocument = (
  given: Pick<DocumentInfo, 'id' | 'app' | 'openedAt'>,
): DocumentInfo => ({ ...given, title: 'Untitled', unsaved: false })

export const DOCUMENT: Kind<DocumentInfo> = {
  words: ['document', 'documents'],
  shape: fields<DocumentInfo>({
    id: id(),
    app: id(),
    title: string().defined(),
    unsaved: flag(),
    openedAt: moment(),
    discarded: boolean(),
    discardedAt: maybeMoment(),
  }),
  ids: (one, as) => ({ ...one, id: as('document', one.id), app: as('app', one.app) }),
}
