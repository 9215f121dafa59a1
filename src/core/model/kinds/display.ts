import { array, boolean, number, object, string } from 'yup'
import type { Size } from '@/core/geometry/rect'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { coordinate, fields, flag, id, length, maybeId } from '@/core/model/shaping'

export interface Display {
  id: DisplayId
  name: string
  width: number
  height: number
  scale: number
  /** Place in the arrangement of displays. */
  x: number
  y: number
  connected: boolean
  /** Whether its size is that of a browser window, which it follows. */
  measured?: boolean
  /** The size it goes back to when it does not fit the room it is shown in any more. */
  fitted?: Size
  /** The display whose picture it shows while it is none of its own: it is not connected then. */
  mirrors?: DisplayId
}

/** The smallest a display can be, in CSS pixels: windows must be within reach on it. */
export const DISPLAY_LEAST: Size = { width: 320, height: 200 }

/** The browser window as the first display; its size is set as soon as the desktop is measured. */
export const nearDisplay = (): Display => ({
  id: 'near',
  name: 'Near',
  width: 1072,
  height: 764,
  scale: 1,
  x: 0,
  y: 0,
  connected: true,
  measured: true,
})

export const DISPLAY: Kind<Display> = {
  words: ['display', 'displays'],
  shape: fields<Display>({
    id: id(),
    name: string().required(),
    width: length().min(DISPLAY_LEAST.width),
    height: length().min(DISPLAY_LEAST.height),
    scale: number().required().positive().max(16),
    x: coordinate(),
    y: coordinate(),
    connected: flag(),
    measured: boolean(),
    fitted: object({ width: length(), height: length() }).default(undefined),
    mirrors: maybeId(),
  }),
  ids: ({ mirrors, ...one }, as) => ({
    ...one,
    id: as('display', one.id),
    ...(mirrors && { mirrors: as('display', mirrors) }),
  }),
  // It had what it shows; now that stands with where the person is.
  older: ({ shows: _shows, ...display }) => display,
}

/** What one display shows, and where one has been on it. */
export interface Presence {
  shows: DesktopId
  focus: WindowId | null
  /** Desktops in order of last visit, the one it shows first. */
  visited: DesktopId[]
}

/** What a display is when it is first seen. */
export const arriving = (shows: DesktopId): Presence => ({ shows, focus: null, visited: [shows] })

export const presenceShape = fields<Presence>({
  shows: id(),
  focus: maybeId().nullable().defined(),
  visited: array(id()).required(),
})
