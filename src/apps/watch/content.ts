import { number, object } from 'yup'
import type { Rect } from '@/core/geometry/rect'
import { type Contents, flag } from '../contents'

/** What is told of a watched window. Nothing of its picture is ever in it. */
export interface WatchContent {
  /** Whether it is told when it changes after it was still. */
  changes: boolean
  /** After how many seconds of stillness that is told; 0: never. */
  still: number
  /** The part that is watched, in shares of the picture's width and height; else all of it. */
  part?: Rect
}

const share = () => number().min(0).max(1).required()

export const WATCH: Contents<WatchContent> = {
  shape: object({
    changes: flag().required(),
    still: number().integer().min(0).max(3600).required(),
    part: object({ x: share(), y: share(), width: share(), height: share() }).default(undefined),
  }),
  empty: { changes: true, still: 10 },
}
