import type { View } from '@/core/commands/command'
import type { Session } from '@/core/commands/execute'
import type { Place } from '@/core/geometry/shelves'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import { initialState } from '@/core/model/initial'
import type { Deed } from '@/core/model/kinds/sequence'
import { emptyHistory } from '@/core/rules/history'

/** What the Line says of the last thing that happened. */
export interface Said {
  text: string
  /** Whether “undo” stands beside it. */
  step: boolean
  /** The keys for what was just done by pointer. */
  nextTime?: string
  refused?: boolean
  /** Whether it stands in the form that it is about. */
  inForm?: boolean
  /** Counts up, so that the same words twice are two messages. */
  count: number
}

/** What a menu is about. */
export type About =
  | { window: WindowId }
  | { desktop: DesktopId }
  | { app: string }
  | { windows: WindowId[] }

/** A menu at a point of the page. */
export type Menu = { x: number; y: number } & About

/** Something the person did, in words. */
interface Was extends Deed {
  says: string
  at: number
}

/** What is open on the page beside the arrangement, and what was said last. */
export interface PageState {
  session: Session
  said: Said | null
  /** For people who do not see the page. */
  announced: string
  view: View | null
  /** Whether the loft is open. It stays while something is asked above it. */
  loft: boolean
  /** What the rows of the loft are. */
  loftBy: 'desktop' | 'app'
  /** Whether the loft comes back when the view above the desktop is left. */
  loftBehind: boolean
  /** Windows marked in the loft: what is done to one of them is done to all. */
  marked: WindowId[]
  /** Whether the small map of desktops is shown, while Alt is held. */
  map: boolean
  /** Desktops that have been put to rest: their windows are not drawn until they are gone to. */
  resting: DesktopId[]
  /** The web page window whose page has the keys. */
  keysIn: WindowId | null
  /** The display, in a browser window of its own, that what was done here took the keys to. */
  keysOn: DisplayId | null
  /** The menu that is open. */
  menu: Menu | null
  /** Where windows are drawn instead of their frames, while they are laid out to be seen. */
  places: Record<WindowId, Place> | null
  /** The window that stands at its own size above all else, while it is looked at. */
  closely: { window: WindowId; place: Place } | null
  /** The desktop that is chosen in the loft. */
  chosenDesktop: DesktopId | null
  /** The window that verbs are about while a list is open; else the focused one is. */
  chosen: WindowId | null
  /** Displays that are shown in a browser window of their own. */
  elsewhere: DisplayId[]
  /** The strokes of a sequence heard so far. */
  pending: string
  /** Whether plain keys are commands, in the set of keys that has a layer. */
  layer: boolean
  /** What was done last, the latest last: a sequence is made from it. */
  done: Was[]
  /** Whether the shelf is loaded and the page may be drawn. */
  ready: boolean
  /** Whether another page has taken the shelf over: nothing can be done to it here any more. */
  takenOver: boolean
}

/** The page before anything is loaded. */
export const FIRST: PageState = {
  session: { state: initialState(), history: emptyHistory },
  said: null,
  announced: '',
  view: null,
  loft: false,
  loftBy: 'desktop',
  loftBehind: false,
  marked: [],
  map: false,
  resting: [],
  keysIn: null,
  keysOn: null,
  menu: null,
  places: null,
  closely: null,
  chosenDesktop: null,
  chosen: null,
  elsewhere: [],
  pending: '',
  layer: false,
  done: [],
  ready: false,
  takenOver: false,
}

/** Where a window is drawn instead of its frame, if it is. */
export const placeIn = (
  { places, closely }: Pick<PageState, 'places' | 'closely'>,
  id: WindowId,
): Place | undefined => (closely?.window === id ? closely.place : places?.[id])
