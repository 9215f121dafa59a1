import { array, object, string } from 'yup'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, flag, id, maybeId, moment, place } from '@/core/model/shaping'

/** Where a run goes to: a desktop, or a window wherever it is. */
export interface Stop {
  id: string
  desktop: DesktopId
  window: WindowId | null
  /** What is to be said there. */
  notes: string
}

/** An ordered walk through desktops and windows, for presenting or recording. */
export interface Run {
  id: string
  name: string
  stops: Stop[]
  /** Whether it ends where it began; else where it is. */
  back: boolean
}

export const RUN: Kind<Run> = {
  words: ['run', 'runs'],
  shape: fields<Run>({
    id: id(),
    name: string().required().max(1000),
    back: flag(),
    stops: array(
      fields<Stop>({
        id: id(),
        desktop: id(),
        window: maybeId().nullable().defined(),
        notes: string().defined().max(5000),
      }).required(),
    )
      .required()
      .max(200),
  }),
  ids: (one, as) => ({
    ...one,
    id: as('run', one.id),
    stops: one.stops.map((stop) => ({
      ...stop,
      desktop: as('desktop', stop.desktop),
      window: stop.window && as('window', stop.window),
    })),
  }),
}

/** The run that goes on: which of its stops it is at, since when, where, and where it began. */
export interface UnderWay {
  run: string
  at: number
  since: number
  display: DisplayId
  from: { desktop: DesktopId; window: WindowId | null }
}

export const underWayShape = fields<UnderWay>({
  run: id(),
  at: place(),
  since: moment(),
  display: id(),
  from: object({ desktop: id(), window: maybeId().nullable().defined() }).required(),
})
