import type { LucideIcon } from 'lucide-react'
import type { ComponentType } from 'react'
import type { AppFacts, DocumentId, WindowId } from '@/core/model/types'

/** What an app is given; the same for every app. */
export interface AppProps {
  window: WindowId
  document: DocumentId
}

/** An app that ships with Kite Shelf. Its component is loaded when a first window opens. */
export interface AppManifest extends AppFacts {
  glyph: LucideIcon
  /** Extensions of the files it opens, with the dot. */
  opens: string[]
  /** Whether changes wait for the person to save them. */
  drafts: boolean
  load(): Promise<{ default: ComponentType<AppProps> }>
  /** Turns a file into content. @throws FileProblem when the file is not what its name says */
  read?(file: File): Promise<unknown>
  /** Turns content into a file to keep on the computer. */
  write?(content: unknown, title: string): Blob
  /** Extension of the files `write` makes. */
  extension?: string
}

/** Says in a sentence what is wrong with a file. */
export class FileProblem extends Error {}
