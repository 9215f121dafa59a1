import { number, string } from 'yup'
import type { AppId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, laterArguments } from '@/core/model/shaping'

/**
 * Where plain keys do the work. Each of these has a keymap of its own; everywhere else the keys of
 * the desktop are heard.
 */
export const KEY_PLACES = ['rack', 'loft', 'unstack', 'trail', 'pad', 'glance', 'run'] as const
export type KeyPlace = (typeof KEY_PLACES)[number]

/** How long the pointer stays at an edge before it counts as a push, in milliseconds. */
export const PUSH_TIME = { least: 100, most: 3000, first: 400 }

/** A chord or sequence bound by the person to a command, or a built-in one switched off. */
export interface Binding {
  keys: string
  /** Where it is heard, if not everywhere. */
  place?: KeyPlace
  /** The app in whose windows it stands for one of the app’s own keys. */
  app?: AppId
  command: string | null
  args?: Record<string, unknown>
  /** Of a corner or an edge: how long the pointer stays there, in milliseconds. */
  time?: number
}

export const BINDING: Kind<Binding> = {
  words: ['key', 'keys'],
  shape: fields<Binding>({
    keys: string().required(),
    place: string().oneOf(KEY_PLACES),
    app: string().max(100),
    command: string().nullable().defined(),
    args: laterArguments(),
    time: number().integer().min(PUSH_TIME.least).max(PUSH_TIME.most),
  }),
  // What leads somewhere leads to a desktop, or to a place, which no name is given to.
  ids: (one, as) =>
    typeof one.args?.to === 'string'
      ? { ...one, args: { ...one.args, to: as('desktop', one.args.to) } }
      : one,
}
