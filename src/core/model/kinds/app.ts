import { array, string } from 'yup'
import type { Limits, Size } from '@/core/geometry/rect'
import type { AppId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, id } from '@/core/model/shaping'

/** A web address the person added as an app. */
export interface OwnApp {
  id: AppId
  name: string
  /** An http or https address, or the path of a page that ships with Kite Shelf. */
  address: string
  /** A picture as a data address. */
  icon?: string
}

/** The longest picture of an app the person added, in characters. */
const ICON_MOST = 400_000

export const APP: Kind<OwnApp> = {
  words: ['app', 'apps'],
  shape: fields<OwnApp>({
    id: id(),
    name: string().required(),
    address: string().required(),
    icon: string().max(ICON_MOST),
  }),
  ids: (one, as) => ({ ...one, id: as('app', one.id) }),
}

/** What core has to know of an app; the rest lives with the app. */
export interface AppFacts extends Size {
  id: AppId
  name: string
  /** Several of its windows, as in “tables titled …”. */
  plural: string
  limits: Limits
  /** Title of a new, empty document. */
  untitled: string
  /** Its own keys, and what they do in its windows. */
  keys?: [keys: string, does: string][]
}

/** Ways in which an app's windows are treated otherwise than others. */
export const EXCEPTIONS = [
  'never carried',
  'always sent',
  'on every desktop',
  'keeps its size',
] as const
export type Exception = (typeof EXCEPTIONS)[number]

export const exceptionsShape = array(string().oneOf(EXCEPTIONS).required())
  .required()
  .min(1)
  .max(EXCEPTIONS.length)
