import type { KeyPlace } from '@/core/keys/keymaps'
import type { Settings } from '@/core/settings/table'

/**
 * The objects of Kite Shelf as plain JSON. Ids are keys, order is arrays of ids.
 * Lengths are CSS pixels in the display's own coordinates (x right, y down, origin top-left);
 * moments are milliseconds since 1970.
 */

export type DesktopId = string
export type WindowId = string
export type AppId = string
export type DocumentId = string
export type DisplayId = string

export interface Point {
  x: number
  y: number
}

export interface Size {
  width: number
  height: number
}

export interface Rect extends Point, Size {}

export const HUES = [
  'teal',
  'cobalt',
  'vermilion',
  'plum',
  'moss',
  'marigold',
  'sky',
  'rose',
  'violet',
  'rust',
  'lime',
  'slate',
] as const
export type Hue = (typeof HUES)[number]

export const BACKDROPS = ['ripstop', 'stripes', 'panels', 'dots', 'contour', 'plain'] as const
export type Backdrop = (typeof BACKDROPS)[number]

/** A picture of the person's own behind the windows. */
export interface BackdropPicture {
  /** The document it is kept in. */
  document: DocumentId
  /** Whether it fills the desktop, is seen whole, or is repeated. */
  fit: 'fill' | 'whole' | 'repeat'
  /** Which part is seen or where it stands, in percent of the way from the top-left. */
  x: number
  y: number
  /** How much of it shows through, in percent. */
  strength: number
}

/** How a desktop's name is drawn on it. */
export interface Sign {
  font: 'display' | 'text' | 'figures'
  /** Height of its letters, in CSS pixels. */
  size: number
  weight: 400 | 600 | 800
  colour: 'hue' | 'ink' | 'soft'
  /** In percent. */
  opacity: number
  place:
    | 'top left'
    | 'top'
    | 'top right'
    | 'left'
    | 'middle'
    | 'right'
    | 'bottom left'
    | 'bottom'
    | 'bottom right'
}

/** Where a window of a solo or a pair goes back to, exactly. */
interface Origin {
  desktop: DesktopId | 'every'
  /** Its place among the windows that live there. */
  at: number
  /** The window it stood directly on; null at the bottom. */
  on: WindowId | null
  minimised: boolean
  /** Whether it had the focus there. */
  focused: boolean
}

/** Windows that were minimised together, to be brought back together. */
export interface Aside {
  by: 'sweep' | 'isolate'
  windows: WindowId[]
  focus: WindowId | null
}

export const LEVELS = ['info', 'mention', 'alarm'] as const

/** What an app wants attention for. */
export interface Waiting {
  level: (typeof LEVELS)[number]
  /** In words. */
  says: string
  /** Since when it waits. */
  since: number
  /** Put off: it is not told before. */
  until?: number
  /** Whether it was told; a quiet desktop does not. */
  told: boolean
}

/** A named place for windows. */
export interface Desktop {
  id: DesktopId
  name: string
  /** Ordinary; or filled by one window; or shared by two. */
  kind: 'open' | 'solo' | 'pair'
  /** Of a solo or a pair: where each of its windows came from. */
  origins?: Record<WindowId, Origin>
  /** Of a pair: the share of the width that the first of its windows has, 0.2 to 0.8. */
  divider?: number
  /** What sweeping or isolating minimised here. */
  aside?: Aside
  /** How windows stood before all of them were arranged. */
  before?: Record<WindowId, Pick<Window, 'frame' | 'placed' | 'maximised'>>
  /** The key that stands for it; null when every letter is taken. */
  letter: string | null
  /** True when the person chose the letter; such a letter is never reassigned. */
  letterByHand: boolean
  hue: Hue
  /** A sign it is known by, besides its letter. */
  emblem?: string
  backdrop: Backdrop | 'picture'
  /** The picture it has, or had before a pattern was chosen. */
  picture?: BackdropPicture
  /** Whether its name is drawn on it. */
  sign: boolean
  /** What of its sign is other than at first. */
  signed?: Partial<Sign>
  /** Whether it holds attention back, until when, and what comes through all the same. */
  quiet?: { on: boolean; until?: number; lets: string[] }
  /** The windows that live here, in order of arrival. */
  windows: WindowId[]
  /** The window that had focus when this desktop was left. */
  focus: WindowId | null
}

/** Smallest and largest size of a window, in CSS pixels. */
export interface Limits {
  minWidth: number
  minHeight: number
  maxWidth?: number
  maxHeight?: number
}

/**
 * A span of the 3×3 pad, rows and columns counted from 0, ends included. Parts of cells are meant by
 * fractions: the left half is from 0 to 0.5.
 */
export interface Span {
  top: number
  left: number
  bottom: number
  right: number
}

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
  minimised: boolean
  maximised: boolean
  /** The part of the pad it was placed into; kept until it is moved or resized by hand. */
  placed: Span | null
  /** Where it stood before it was placed. */
  unplaced?: Rect
  /** Sent over from another display: where it stood there, and where it came to here. */
  came?: { from: DisplayId; frame: Rect; to: Rect }
  limits: Limits
  openedAt: number
  /** Absent where it is not known. */
  cause?: Cause
}

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
}

/** What one display shows, and where one has been on it. */
export interface Presence {
  shows: DesktopId
  focus: WindowId | null
  /** Desktops in order of last visit, the one it shows first. */
  visited: DesktopId[]
}

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

/** Ways in which an app's windows are treated otherwise than others. */
export const EXCEPTIONS = [
  'never carried',
  'always sent',
  'on every desktop',
  'keeps its size',
] as const
export type Exception = (typeof EXCEPTIONS)[number]

/** What put a window where it is. */
export type Cause =
  | { by: 'exception' }
  | { by: 'home'; home: string }
  | { by: 'here' }
  | { by: 'hand' }
  | { by: 'fold'; name: string }

/** A web address the person added as an app. */
export interface OwnApp {
  id: AppId
  name: string
  /** An http or https address, or the path of a page that ships with Kite Shelf. */
  address: string
  /** A picture as a data address. */
  icon?: string
}

/** A chord or sequence bound by the person to a command, or a built-in one switched off. */
export interface Binding {
  keys: string
  /** Where it is heard, if not everywhere. */
  place?: KeyPlace
  command: string | null
  args?: Record<string, unknown>
  /** Of a corner or an edge: how long the pointer stays there, in milliseconds. */
  time?: number
}

/** What the shelf knows of a document; its content is kept apart. */
export interface DocumentInfo {
  id: DocumentId
  app: AppId
  title: string
  /** Typed but not saved. */
  unsaved: boolean
  openedAt: number
  /** Deleted by the person; it is kept, and can be taken back. */
  discarded?: boolean
  /** When it was; such documents go for good after a while. */
  discardedAt?: number
}

/** A window that was closed and can be reopened. */
export interface Closed {
  window: Window
  at: number
}

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

/** A desktop that was kept to make others like it. A blank (…) in titles is filled in then. */
export interface Pattern {
  id: string
  name: string
  look: Pick<Desktop, 'hue' | 'emblem' | 'backdrop' | 'picture' | 'sign' | 'signed'>
  windows: (Pick<Window, 'app' | 'frame' | 'placed' | 'minimised' | 'maximised'> & {
    title: string
  })[]
}

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

/** A stretch of a day that belongs to a desktop. */
export interface Block {
  id: string
  desktop: DesktopId
  start: number
  end: number
  /** What it is about, where that is more than the desktop's name. */
  title?: string
  /** What it is known by in the calendar it came from. */
  source?: string
  /** Whether one goes there by itself when it begins. */
  goes?: boolean
  skipped?: boolean
  /** Whether one went, or left the offer: it is not made again. */
  met?: boolean
}

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

/** A command with what was said with it. */
export interface Deed {
  command: string
  args: Record<string, unknown>
}

/** What was done once, under a name, to be done again. */
export interface Sequence {
  id: string
  name: string
  deeds: Deed[]
}

/** How the person wants it. Undone like the arrangement. */
interface Preferences {
  bindings: Binding[]
  sequences: Sequence[]
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
  /** The run that goes on: which of its stops it is at, since when, where, and where it began. */
  running: {
    run: string
    at: number
    since: number
    display: DisplayId
    from: { desktop: DesktopId; window: WindowId | null }
  } | null
  /** Where one was before going to answer something. */
  answering: {
    desktop: DesktopId
    window: WindowId | null
    /** What was gone to since: not again before one is back. */
    gone?: DocumentId[]
  } | null
}

/** What is known of documents; their contents are kept apart. Part of a step only where it says so. */
interface Documents {
  documents: Record<DocumentId, DocumentInfo>
}

/** The whole of a shelf but the contents: four parts with lives of their own. */
export interface State extends Arrangement, Preferences, Whereabouts, Documents {}

/** What core has to know of an app; the rest lives with the app. */
export interface AppFacts extends Size {
  id: AppId
  name: string
  /** Several of its windows, as in “tables titled …”. */
  plural: string
  limits: Limits
  /** Title of a new, empty document. */
  untitled: string
}

export const CLOSED_KEPT = 25
/** More than a year of full days. */
export const PLAN_MOST = 5000
export const DESKTOPS_MOST = 40
/** How many steps the first five minutes have. */
export const GUIDE_STEPS = 9
/** Height of a window's header. */
export const HEM = 30
/** How much of the hem stays within reach. */
export const REACH = 48

/** The smallest a display can be, in CSS pixels: windows must be within reach on it. */
export const DISPLAY_LEAST: Size = { width: 320, height: 200 }
/** The longest side a window or a display can have, in CSS pixels. */
export const LONGEST = 20_000
