import { array, number, object, string } from 'yup'
import type { Span } from '@/core/geometry/rect'
import type { AppId, DesktopId, DisplayId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, flag, id, maybeId, span } from '@/core/model/shaping'
import { EVERY } from './window'

/** Homes that are not one desktop: the current one, or one that is made when it is not there. */
export const HERE = 'here'
export const NAMED = 'named'

/** A rule saying where an app's windows open. All its conditions have to hold. */
export interface Home {
  id: string
  app: AppId
  desktop: DesktopId | typeof EVERY | typeof HERE | typeof NAMED
  /** The desktop meant by `named`. */
  name?: string
  /** The display and the part of the pad they open in; absent where any will do. */
  display?: DisplayId
  place?: Span
  /** Condition: pattern of the title, `*` for any text. */
  title?: string
  /** Condition: days of the week, Sunday is 0. */
  days?: number[]
  /** Condition: minutes of the day from and to; a span over midnight is meant where from > to. */
  from?: number
  to?: number
  /** Condition: displays that have to be connected. */
  displays?: DisplayId[]
  /** Whether the person is taken there; else they stay and are told. */
  follow: boolean
  on: boolean
}

const OTHERS: readonly string[] = [EVERY, HERE, NAMED]

/** The one desktop a home is on; null where it is another place. */
export const desktopOfHome = ({ desktop }: Pick<Home, 'desktop'>): DesktopId | null =>
  OTHERS.includes(desktop) ? null : desktop

const minute = number().integer().min(0).max(1439)

export const HOME: Kind<Home> = {
  words: ['home', 'homes'],
  shape: fields<Home>({
    id: id(),
    app: id(),
    desktop: id(),
    name: string(),
    display: maybeId(),
    place: object(span).default(undefined),
    title: string(),
    days: array(number().integer().min(0).max(6).required()),
    from: minute,
    to: minute,
    displays: array(id()),
    follow: flag(),
    on: flag(),
  }),
  ids: (one, as) => ({
    ...one,
    id: as('home', one.id),
    app: as('app', one.app),
    desktop: desktopOfHome(one) === null ? one.desktop : as('desktop', one.desktop),
    ...(one.display && { display: as('display', one.display) }),
    ...(one.displays && { displays: one.displays.map((id) => as('display', id)) }),
  }),
}
