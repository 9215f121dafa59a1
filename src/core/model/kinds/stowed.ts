import { array, object } from 'yup'
import type { DesktopId, WindowId } from '@/core/model/ids'
import { type Kind, renamedKeys } from '@/core/model/kind'
import { byId, fields, id, place, taken } from '@/core/model/shaping'
import { BINDING, type Binding } from './binding'
import { BLOCK, type Block } from './block'
import { DESKTOP, type Desktop } from './desktop'
import { HOME, type Home } from './home'
import { WINDOW, type Window } from './window'

/** Something that was taken out of a list, with its place there. */
interface Taken<T> {
  at: number
  item: T
}

/** A desktop that was put away with all that is on it, to be brought back as it was. */
export interface Stowed {
  /** That of the desktop. */
  id: DesktopId
  /** Its place in the order. */
  at: number
  desktop: Desktop
  windows: Record<WindowId, Window>
  /** Where its windows stood among all others. */
  stacking: Taken<WindowId>[]
  homes: Taken<Home>[]
  plan: Taken<Block>[]
  /** Keys that led to it. */
  bindings: Taken<Binding>[]
  /** Closed windows that lived on it. */
  closed: WindowId[]
  /** Windows that fill another desktop and came from it. */
  origins: { desktop: DesktopId; window: WindowId }[]
}

const each = <T>(all: Taken<T>[], change: (item: T) => T): Taken<T>[] =>
  all.map(({ at, item }) => ({ at, item: change(item) }))

export const STOWED: Kind<Stowed> = {
  words: ['stowed desktop', 'stowed desktops'],
  shape: fields<Stowed>({
    id: id(),
    at: place(),
    desktop: DESKTOP.shape.required(),
    windows: byId(WINDOW.shape, true).required(),
    stacking: taken(id()),
    homes: taken(HOME.shape.required()),
    plan: taken(BLOCK.shape.required()),
    bindings: taken(BINDING.shape.required()),
    closed: array(id()).required(),
    origins: array(object({ desktop: id(), window: id() }).required()).required(),
  }),
  ids: (one, as) => {
    const window = (id: WindowId) => as('window', id)
    return {
      ...one,
      id: as('desktop', one.id),
      desktop: DESKTOP.ids(one.desktop, as),
      windows: renamedKeys(one.windows, window, (item) => WINDOW.ids(item, as)),
      stacking: each(one.stacking, window),
      homes: each(one.homes, (item) => HOME.ids(item, as)),
      plan: each(one.plan, (item) => BLOCK.ids(item, as)),
      bindings: each(one.bindings, (item) => BINDING.ids(item, as)),
      closed: one.closed.map(window),
      origins: one.origins.map((from) => ({
        desktop: as('desktop', from.desktop),
        window: window(from.window),
      })),
    }
  },
}
