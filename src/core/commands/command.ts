import type { ObjectSchema, ObjectShape, TypeFromShape } from 'yup'
import { object, string } from 'yup'
import type { Rect } from '@/core/geometry/rect'
import type { By, JournalEvent } from '@/core/journal/events'
import type { AppId, DesktopId, DisplayId, DocumentId, WindowId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { Sequence } from '@/core/model/kinds/sequence'
import type { State } from '@/core/model/state'

/** What a command may use of the world; nothing else, so that it can be replayed. */
export interface Env {
  /** Milliseconds since 1970. */
  now: number
  id(
    kind:
      | 'desktop'
      | 'window'
      | 'document'
      | 'home'
      | 'app'
      | 'display'
      | 'sequence'
      | 'pattern'
      | 'run'
      | 'stop'
      | 'block',
  ): string
  app(id: string): AppFacts | undefined
  apps(): AppFacts[]
  /** Whether what shows a document goes on by itself. */
  busy(document: DocumentId): boolean
  by: By
}

/** A file of that kind, or a PNG in the clipboard. */
export type PictureFormat = 'png' | 'svg' | 'clipboard'

/** What is drawn: a window, what the display with the keys shows or an area of it, or the whole desktop. */
export interface Pictured {
  of: 'window' | 'display' | 'desktop' | 'area'
  window?: WindowId
  /** In the display’s own pixels. */
  area?: Rect
  format: PictureFormat
}

/** Why a command cannot be done now, and what would work instead. */
export interface Refusal {
  reason: string
  /** A question to put to the person; the answer runs the command again. */
  ask?: View
  /** The argument that is wrong, where it is one. */
  field?: string
}

/** Something the page is asked to show. Core says what, the page says how. */
export type View =
  /** `fresh`: it was only just made. */
  /** `then`: those that are named after it. */
  | { view: 'rename'; desktop: DesktopId; fresh?: boolean; then?: DesktopId[] }
  | { view: 'fold'; desktops: DesktopId[]; into: DesktopId | null; columns?: number }
  | { view: 'unsaved'; window: WindowId }
  | { view: 'letter'; desktop: DesktopId }
  | { view: 'deal letters' }
  | { view: 'look'; desktop: DesktopId }
  | { view: 'copy look'; desktop: DesktopId }
  | { view: 'pad'; window: WindowId }
  | { view: 'displays' }
  | { view: 'settings'; find?: string }
  | { view: 'bindings'; find?: string }
  | { view: 'title'; document: DocumentId }
  | { view: 'home'; window: WindowId }
  | { view: 'why'; window: WindowId }
  | { view: 'pair'; window: WindowId }
  | { view: 'full'; window: WindowId; desktop: DesktopId; along?: boolean }
  | { view: 'add app' }
  | { view: 'sessions' }
  | { view: 'restore points' }
  | { view: 'folder' }
  | { view: 'put right' }
  | { view: 'homes' }
  | { view: 'home of app'; app: AppId }
  | { view: 'draw area'; format: PictureFormat }
  | { view: 'sequences' }
  | { view: 'waiting' }
  | { view: 'plan' }
  | { view: 'log' }
  | { view: 'past' }
  | { view: 'runs' }
  | { view: 'import calendar'; given?: { name: string; text: string } }
  | { view: 'tether'; nth: number }
  | { view: 'patterns'; pattern?: string }
  | { view: 'quiet'; desktop: DesktopId }
  | { view: 'practice' }
  | { view: 'keys'; print?: boolean }
  /** `about`: only what can be done with this window and desktop. */
  | { view: 'line'; about?: boolean }
  | { view: 'menu' }
  | { view: 'loft'; by?: 'app' }
  | { view: 'unstack'; app: boolean; desktop?: DesktopId }
  | { view: 'glance'; desktop: DesktopId }
  | { view: 'trail'; back: boolean }
  | { view: 'clear up' }
  | { view: 'health' }
  | { view: 'import shelf' }
  | { view: 'lock shelf' }
  | { view: 'export document'; document: DocumentId }
  | { view: 'file'; document: DocumentId }

/** Something the page does at once, with nothing to look at: core says what, the page how. */
export type Effect =
  | { does: 'export settings' }
  | { does: 'import settings' }
  | { does: 'full screen' }
  | { does: 'cover' }
  | { does: 'float' }
  | ({ does: 'picture' } & Pictured)
  | { does: 'open display'; display: DisplayId }
  | { does: 'rest'; desktop: DesktopId }
  | { does: 'record run'; run: string }
  | { does: 'export calendar' }
  | { does: 'export keys' }
  | { does: 'rack' }
  | { does: 'apps' }
  | { does: 'open file' }
  | { does: 'export shelf' }
  | { does: 'export desktop'; desktop: DesktopId }
  | { does: 'export damaged' }
  | { does: 'keep folder' }
  | { does: 'update' }
  | { does: 'save document'; document: DocumentId }
  | { does: 'save to file'; document: DocumentId }
  | { does: 'leave file'; document: DocumentId }
  | { does: 'allow files' }
  | { does: 'give folder' | 'leave folder'; desktop: DesktopId }
  | { does: 'open from folder' | 'new in folder'; desktop: DesktopId; path: string }
  | { does: 'copy reference'; document: DocumentId }
  /** The address that leads to a desktop or a document. */
  | { does: 'copy link'; to: DesktopId | DocumentId; name: string }
  | { does: 'find'; window: WindowId }

export interface Result {
  /** Whether a sequence was not done to its end. */
  stopped?: boolean
  /** What happened, for the Line and for undo. Nothing when it speaks for itself. */
  say?: string
  /** For people who do not see the page. */
  announce?: string
  journal?: Omit<JournalEvent, 'at' | 'by'>[]
  show?: View
  effect?: Effect
}

export const GROUPS = [
  'Desktops',
  'Switching',
  'Windows',
  'Apps',
  'Displays',
  'Homes',
  'Documents',
  'Shelf',
] as const
type Group = (typeof GROUPS)[number]

export interface Command<Args = Record<string, unknown>, Id extends string = string> {
  id: Id
  title: string
  group: Group
  /** Checks the arguments and lists them. */
  args: ObjectSchema<ObjectShape>
  /** Whether undo takes it back. Going and focusing are not steps. */
  step: boolean
  /**
   * Says why it cannot be done, before it changes anything, or changes the draft of the state and
   * says what happened.
   */
  plan?(draft: State, args: Args, env: Env): Refusal | Result | undefined
  travel?: 'undo' | 'redo'
  /** Other commands it stands for: they are run one after the other, as one step. */
  expand?(state: State, args: Args): Refusal | Pick<Sequence, 'name' | 'deeds'>
  /** Whether what is known of documents is part of the step. */
  documents?: boolean
  /** Whether the line leaves it out: it is no use without arguments that are not asked for there. */
  unlisted?: boolean
  /** How it is called in the line where that asks which desktop; the answer may be a new one. */
  asks?: { title: string; orNew?: boolean }
}

/** An argument that is typed as a name or a title. */
export const nameArgument = () => string().max(1000)

export const no = (reason: string, ask?: View): Refusal => ({ reason, ...(ask && { ask }) })

/** It is one argument that is wrong. */
export const noTo = (field: string, reason: string): Refusal => ({ reason, field })

export const refused = (value: unknown): value is Refusal =>
  typeof value === 'object' && value !== null && 'reason' in value

type Optional<T> = { [K in keyof T as undefined extends T[K] ? K : never]?: T[K] } & {
  [K in keyof T as undefined extends T[K] ? never : K]: T[K]
}

/** The arguments a shape of schemas describes. What is an object of its own may be left out. */
type Given<Shape extends ObjectShape> = Optional<{
  [K in keyof Shape]:
    | TypeFromShape<Shape, unknown>[K]
    | (Shape[K] extends { fields: object } ? undefined : never)
}>

/** A command with its arguments typed by their schema. */
export function command<const Id extends string, Shape extends ObjectShape = Record<never, never>>(
  given: Omit<Command, 'id' | 'args' | 'plan' | 'expand' | 'step'> & {
    id: Id
    step?: boolean
    args?: Shape
    plan?(draft: State, args: Given<Shape>, env: Env): Refusal | Result | undefined
    expand?(state: State, args: Given<Shape>): Refusal | Pick<Sequence, 'name' | 'deeds'>
  },
): Command<Given<Shape>, Id> {
  const args = object((given.args ?? {}) as ObjectShape).noUnknown()
  return { step: true, ...given, args } as Command<Given<Shape>, Id>
}
