import { array, string } from 'yup'
import type { DesktopId, DocumentId, WindowId } from '@/core/model/ids'
import { fields, flag, id, maybeId, maybeMoment, moment } from '@/core/model/shaping'

export const LEVELS = ['info', 'mention', 'alarm'] as const

/** What an app wants attention for. */
export interface Waiting {
  level: (typeof LEVELS)[number]
  /** In words. */
  says: string
  /** Since when it waits. */
  since: number
  /** Put off: it is not told before. */
  until?: number
  /** Whether it was told; a quiet desktop does not. */
  told: boolean
}

export const waitingShape = fields<Waiting>({
  level: string().oneOf(LEVELS).required(),
  says: string().defined(),
  since: moment(),
  until: maybeMoment(),
  told: flag(),
})

/** Where one was before going to answer something. */
export interface Answering {
  desktop: DesktopId
  window: WindowId | null
  /** What was gone to since: not again before one is back. */
  gone?: DocumentId[]
}

export const answeringShape = fields<Answering>({
  desktop: id(),
  window: maybeId().nullable().defined(),
  gone: array(id()),
})
