import type { DocumentInfo } from '@/core/model/kinds/document'

/** A reference to a document as text that can be pasted anywhere: “[Station readings](kite:id)”. */
export const referenceTo = ({ id, title }: Pick<DocumentInfo, 'id' | 'title'>): string =>
  `[${title.replace(/[[\]]/g, '')}](kite:${id})`
