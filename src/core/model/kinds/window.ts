import { boolean, number, object, ref, string } from 'yup'
import type { Limits, Rect, Size, Span } from '@/core/geometry/rect'
import { LONGEST } from '@/core/geometry/rect'
import type { AppId, DesktopId, DisplayId, DocumentId, WindowId } from '@/core/model/ids'
import type { Kind } from '@/core/model/kind'
import { fields, flag, frame, id, length, moment, span } from '@/core/model/shaping'

/** Where a window lives that is on all desktops. */
export const EVERY = 'every'

export interface Window {
  id: WindowId
  app: AppId
  document: DocumentId
  /** The desktop it lives on, or `every`. */
  desktop: DesktopId | typeof EVERY
  display: DisplayId
  /** Where it stands when neither minimised nor maximised. */
  frame: Rect
  /** How large its display was when it came to stand there; absent where it is not known. */
  room?: Size
  minimised: boolean
  maximised: boolean
  /** The part of the pad it was placed into; kept until it is moved or resized by hand. */
  placed: Span | null
  /** Where it stood before it was placed. */
  unplaced?: Rect
  /** Sent over from another display: where it stood there, and where it came to here. */
  came?: { from: DisplayId; frame: Rect; to: Rect }
  limits: Limits
  /** Whether its browser window closes while one is elsewhere; absent where it does as its desktop says. */
  furls?: boolean
  openedAt: number
  /** Absent where it is not known. */
  cause?: Cause
}

/** What put a window where it is. */
export type Cause =
  | { by: 'exception' }
  | { by: 'home'; home: string }
  | { by: 'here' }
  | { by: 'hand' }
  | { by: 'fold'; name: string }

export const WINDOW: Kind<Window> = {
  words: ['window', 'windows'],
  shape: fields<Window>({
    id: id(),
    app: id(),
    document: id(),
    desktop: id(),
    display: id(),
    frame: object(frame).required(),
    room: object({ width: length(), height: length() }).default(undefined),
    minimised: flag(),
    maximised: flag(),
    placed: object(span).nullable().defined(),
    unplaced: object(frame).default(undefined),
    came: object({
      from: id(),
      frame: object(frame).required(),
      to: object(frame).required(),
    }).default(undefined),
    limits: object({
      minWidth: length(),
      minHeight: length(),
      maxWidth: number().positive().min(ref('minWidth')).max(LONGEST),
      maxHeight: number().positive().min(ref('minHeight')).max(LONGEST),
    }).required(),
    furls: boolean(),
    openedAt: moment(),
    cause: object({
      by: string().oneOf(['home', 'here', 'hand', 'fold', 'exception']).required(),
      home: string(),
      name: string(),
    }).default(undefined),
  }),
  ids: (one, as) => ({
    ...one,
    id: as('window', one.id),
    app: as('app', one.app),
    document: as('document', one.document),
    desktop: one.desktop === EVERY ? EVERY : as('desktop', one.desktop),
    display: as('display', one.display),
    ...(one.came && { came: { ...one.came, from: as('display', one.came.from) } }),
    ...(one.cause?.by === 'home' && {
      cause: { by: 'home', home: as('home', one.cause.home) },
    }),
  }),
  // It had a height; now the stack says what stands on what.
  older: ({ z: _z, ...window }) => window,
}
