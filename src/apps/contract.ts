import type { LucideIcon } from 'lucide-react'
import type { ComponentType } from 'react'
import type { AppId, DocumentId, WindowId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { Shelf } from '@/store/shelf'
import { isUnloaded, Unloaded } from '@/store/unloaded'
import type { Working } from '@/store/working'
import type { Contents } from './contents'

/** What an app is given; the same for every app. */
export interface AppProps {
  window: WindowId
  document: DocumentId
}

/** An app that ships with Kite Shelf. Its component is loaded when a first window opens. */
export interface AppManifest<Content = unknown> extends AppFacts {
  glyph: LucideIcon
  /** Extensions of the files it opens, with the dot. */
  opens: string[]
  /** Whether it is at work, or may be told something, while nobody looks: it is drawn ahead first. */
  worksUnseen?: boolean
  /** What its documents hold; none where it keeps nothing. */
  contents?: Contents<Content>
  /** Whether changes wait for the person to save them. */
  drafts: boolean
  /** Whether it is left out of the list of apps until a window of it is open: a command opens it. */
  unlisted?: boolean
  load(): Promise<{ default: ComponentType<AppProps> }>
  /**
   * Turns a file into content, or into what another app shows.
   * @throws FileProblem when the file is not what its name says, or too much of it
   */
  read?(file: File, working: Working): Promise<Content | OpensIn>
  /** Turns content into a file to keep on the computer. */
  write?(content: Content, title: string): Blob
  /**
   * Where there is more than one way to write a content: why, and the ways.
   * @param now in milliseconds since 1970
   */
  writes?(
    content: Content,
    now: number,
  ): { why: string; ways: { label: string; write(): Blob }[] } | null
  /**
   * Writes a content that shows other documents with all of them in one file; null where it shows none.
   * `says` follows what was exported, where something is missing.
   */
  packs?(
    content: Content,
    title: string,
    shelf: Shelf,
  ): Promise<{ file: Blob; extension: string; says?: string } | null>
  /** Extension of the files `write` makes. */
  extension?(content: Content): string
}

/** What another app shows better, and why. */
export class OpensIn {
  constructor(
    readonly app: AppId,
    readonly content: unknown,
    readonly says: string,
  ) {}
}

/** Says in a sentence what is wrong with a file. */
export class FileProblem extends Error {}

/** Why a file could not be read, to follow a colon. */
export function whyUnread(error: unknown): string {
  if (error instanceof FileProblem) return error.message
  return isUnloaded(error) ? new Unloaded().message : 'it cannot be read'
}
