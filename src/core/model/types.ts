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

/** A named place for windows. */
export interface Desktop {
  id: DesktopId
  name: string
  /** The key that stands for it; null when every letter is taken. */
  letter: string | null
  /** True when the person chose the letter; such a letter is never reassigned. */
  letterByHand: boolean
  hue: Hue
  backdrop: Backdrop
  /** Whether its name is drawn on the stage. */
  sign: boolean
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

/** A span of the 3×3 pad, rows and columns counted from 0, ends included. */
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
  limits: Limits
  /** Grows with every raise: the order of stacking and of last use. */
  z: number
  openedAt: number
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
  shows: DesktopId
}

/** A rule saying where an app's windows open. */
export interface Home {
  id: string
  app: AppId
  desktop: DesktopId | typeof EVERY
  /** Pattern of the title, `*` for any text; absent means any title. */
  title?: string
  follow: boolean
  on: boolean
}

/** A chord or sequence bound by the person to a command, or a built-in one switched off. */
export interface Binding {
  keys: string
  command: string | null
  args?: Record<string, unknown>
}

/** What the shelf knows of a document; its content is kept apart. */
export interface DocumentInfo {
  id: DocumentId
  app: AppId
  title: string
  /** Typed but not saved. */
  unsaved: boolean
  openedAt: number
}

/** A window that was closed and can be reopened. */
export interface Closed {
  window: Window
  at: number
}

export interface Settings {
  /** Whether next and previous go round at the ends. */
  wrap: boolean
  /** Whether commands are given with Alt held or after the leader Ctrl+`.`. */
  keys: 'alt' | 'leader'
  cloth: 'system' | 'day' | 'night'
}

/** The part of the state that commands arrange and undo takes back. */
export interface Arrangement {
  desktops: Record<DesktopId, Desktop>
  order: DesktopId[]
  windows: Record<WindowId, Window>
  /** Windows on every desktop, in order of arrival. */
  everywhere: WindowId[]
  displays: Record<DisplayId, Display>
  displayOrder: DisplayId[]
  /** The display that takes the keys. */
  display: DisplayId
  focus: WindowId | null
  /** Desktops in order of last visit, the current one first. */
  visited: DesktopId[]
  /** Closed windows, latest first, at most 25. */
  closed: Closed[]
  homes: Home[]
  /** The apps on number keys 1 to 9. */
  slots: (AppId | null)[]
  bindings: Binding[]
  /** The highest z given so far. */
  top: number
}

export interface State extends Arrangement {
  documents: Record<DocumentId, DocumentInfo>
  settings: Settings
}

/** What core has to know of an app; the rest lives with the app. */
export interface AppFacts extends Size {
  id: AppId
  name: string
  limits: Limits
  /** Title of a new, empty document. */
  untitled: string
}

export const CLOSED_KEPT = 25
export const DESKTOPS_MOST = 40
/** Height of a window's header. */
export const HEM = 30
/** How much of the hem stays within reach. */
export const REACH = 48
