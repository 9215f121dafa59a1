import type { AppId, DesktopId, DisplayId, DocumentId, WindowId } from '@/core/model/ids'
import type { Settings } from '@/core/settings/table'
import type { Exception, OwnApp } from './kinds/app'
import type { Binding } from './kinds/binding'
import type { Block } from './kinds/block'
import type { Closed } from './kinds/closed'
import type { Desktop } from './kinds/desktop'
import type { Display, Presence } from './kinds/display'
import type { DocumentInfo } from './kinds/document'
import type { Home } from './kinds/home'
import type { Pattern } from './kinds/pattern'
import type { Run, UnderWay } from './kinds/run'
import type { Sequence } from './kinds/sequence'
import type { Stowed } from './kinds/stowed'
import type { Answering, Waiting } from './kinds/waiting'
import type { Window } from './kinds/window'

/**
 * A shelf as plain JSON. Ids are keys, order is arrays of ids. Lengths are CSS pixels in the display's
 * own coordinates (x right, y down, origin top-left); moments are milliseconds since 1970. What each
 * part has to be, and what it is called, stands in `parts.ts`.
 */

/** What commands arrange. Undone and done again. */
interface Arrangement {
  desktops: Record<DesktopId, Desktop>
  order: DesktopId[]
  /** How many desktops of the order stand in a row; with 1 they stand in a line. */
  columns: number
  windows: Record<WindowId, Window>
  /** Windows on every desktop, in order of arrival. */
  everywhere: WindowId[]
  /** All open windows, the lowest first: what stands on top of what, and the order of last use. */
  stacking: WindowId[]
  displays: Record<DisplayId, Display>
  /** The main one first. */
  displayOrder: DisplayId[]
  /** Whether each display shows a desktop of its own; else a desktop spans them all. */
  apart: boolean
  /** Closed windows, latest first, at most 25. */
  closed: Closed[]
  homes: Home[]
  /** Desktops that were put away, the latest last. */
  stowed: Stowed[]
  patterns: Pattern[]
  runs: Run[]
  /** What is planned, in the order it was made. */
  plan: Block[]
  /** Windows that are kept in the line while they are elsewhere; false where one wants that not. */
  tethered: Record<WindowId, boolean>
  /** Apps whose windows are treated otherwise than others, and how. */
  exceptions: Record<AppId, Exception[]>
  /** The apps the person added. */
  apps: Record<AppId, OwnApp>
  /** The apps on number keys 1 to 9. */
  slots: (AppId | null)[]
}

/** How the person wants it. Undone like the arrangement. */
interface Preferences {
  bindings: Binding[]
  sequences: Sequence[]
  /** What was suggested and is not wanted. */
  declined: string[]
  settings: Settings
}

/** Where the person is. Not undone: who takes something back is brought to where it can be seen. */
interface Whereabouts {
  /** The display that takes the keys. */
  display: DisplayId
  presence: Record<DisplayId, Presence>
  /** The step of the first five minutes one is at; 0 while they are not shown. */
  guide: number
  /** What wants attention, by document. */
  attention: Record<DocumentId, Waiting>
  running: UnderWay | null
  answering: Answering | null
}

/** What is known of documents; their contents are kept apart. Part of a step only where it says so. */
interface Documents {
  documents: Record<DocumentId, DocumentInfo>
}

/** The whole of a shelf but the contents: four parts with lives of their own. */
export interface State extends Arrangement, Preferences, Whereabouts, Documents {}

/** How many steps the first five minutes have. */
export const GUIDE_STEPS = 15
