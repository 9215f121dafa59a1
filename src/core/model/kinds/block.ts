import { boolean, string } from 'yup'
import type { DesktopId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, id, moment } from '@/core/model/shaping'

/** A stretch of a day that belongs to a desktop. */
export interface Block {
  id: string
  desktop: DesktopId
  start: number
  end: number
  /** What it is about, where that is more than the desktop's name. */
  title?: string
  /** What it is known by in the calendar it came from. */
  source?: string
  /** Whether one goes there by itself when it begins. */
  goes?: boolean
  skipped?: boolean
  /** Whether one went, or left the offer: it is not made again. */
  met?: boolean
}

/** More than a year of full days. */
export const PLAN_MOST = 5000

export const BLOCK: Kind<Block> = {
  words: ['planned block', 'planned blocks'],
  shape: fields<Block>({
    id: id(),
    desktop: id(),
    start: moment(),
    end: moment(),
    title: string().max(200),
    source: string().max(500),
    goes: boolean(),
    skipped: boolean(),
    met: boolean(),
  }),
  ids: (one, as) => ({ ...one, id: as('block', one.id), desktop: as('desktop', one.desktop) }),
}
