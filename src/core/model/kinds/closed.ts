import type { Kind } from '@/core/model/kind'
import { fields, isObject, moment } from '@/core/model/shaping'
import { WINDOW, type Window } from './window'

/** A window that was closed and can be reopened. */
export interface Closed {
  window: Window
  at: number
}

export const CLOSED_KEPT = 25

export const CLOSED: Kind<Closed> = {
  words: ['closed window', 'closed windows'],
  shape: fields<Closed>({ window: WINDOW.shape.required(), at: moment() }),
  ids: ({ window, at }, as) => ({ window: WINDOW.ids(window, as), at }),
  older: (closed) =>
    isObject(closed.window) ? { ...closed, window: WINDOW.older?.(closed.window) } : closed,
}
