import type { DesktopId, WindowId } from '@/core/model/ids'

/** What a command was given by. */
export type By = 'key' | 'pointer' | 'console' | 'app'

/**
 * `here` and `away`: the page was opened or looked at again, and was left. `brush`: the pointer
 * stayed at a corner or an edge that does nothing. `asks`: something wanted attention and was told.
 * `does`: a command that is not said with one stroke.
 */
export type EventKind =
  | 'switch'
  | 'send'
  | 'carry'
  | 'focus'
  | 'open'
  | 'close'
  | 'undo'
  | 'redo'
  | 'here'
  | 'away'
  | 'brush'
  | 'asks'
  | 'seen'
  | 'put off'
  | 'let go'
  | 'does'

/** One line of the journal. */
export interface JournalEvent {
  /** Milliseconds since 1970. */
  at: number
  kind: EventKind
  by: By
  from?: DesktopId
  to?: DesktopId
  window?: WindowId
  app?: string
  command?: string
  /** The corner or edge of the page. */
  zone?: string
}
