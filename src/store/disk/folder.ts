/**
 * A copy of the shelf in a folder of the person's own disk, where the browser can write there. Each machine
 * that shares the folder writes a file of its own: nobody writes over what another wrote.
 */

import {
  afterTaking,
  type Followed,
  isWritten,
  type Written,
  writtenNow,
} from '@/core/formats/followed'
import type { ShelfFile } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { newId } from '@/store/newId'
import { checksum } from './checksum'
import { allowed, pickers } from './handles'
import { writeFile } from './spare'
import type { KeptStore } from './storage'

const KEY = 'folder'
const FOLLOWED = 'followed'
const mode = 'readwrite'

/** What another machine wrote. */
export interface Other {
  written: Written
  handle: FileSystemFileHandle
}

/** A shelf as far as it is the same on every machine. */
export interface Essence {
  essence: string
  sums: Record<DocumentId, string>
}

/** Of what each document of a file says. */
export const sumsOf = ({ documents }: ShelfFile): Record<DocumentId, string> =>
  Object.fromEntries(
    Object.entries(documents).map(([id, { saved, draft }]) => [
      id,
      checksum(JSON.stringify([saved, draft])),
    ]),
  )

export class FolderCopy {
  private handle: FileSystemDirectoryHandle | null = null
  private followed: Followed | null = null
  /** What was read of files of others, by name and when they were written. */
  private read = new Map<string, { modified: number; written: Written | null }>()

  constructor(
    private store: KeptStore,
    private shelf: string,
  ) {}

  /** Whether there is a folder, and whether it may be written to without asking again. */
  async open(): Promise<'none' | 'ready' | 'asks'> {
    const handle = await this.store.getItem(KEY)
    this.handle = handle instanceof FileSystemDirectoryHandle ? handle : null
    return this.state()
  }

  get name(): string {
    return this.handle?.name ?? ''
  }

  private async state(): Promise<'none' | 'ready' | 'asks'> {
    if (!this.handle) return 'none'
    return (await allowed(this.handle, mode)) ? 'ready' : 'asks'
  }

  /** Asks the person for a folder. @returns why there is none, or null */
  async choose(): Promise<string | null> {
    const { showDirectoryPicker: pick } = pickers()
    if (!pick)
      return 'This browser does not let a page write into a folder. Export the shelf instead.'
    try {
      this.handle = await pick({ id: 'kite-shelf', mode })
      await this.store.setItem(KEY, this.handle)
      return null
    } catch {
      return 'No folder was chosen. Nothing was changed.'
    }
  }

  /** Asks again for what was allowed before; the browser forgets it. */
  async allow(): Promise<boolean> {
    return this.handle !== null && allowed(this.handle, mode, true)
  }

  async forget(): Promise<void> {
    this.handle = null
    await this.store.removeItem(KEY)
  }

  /** This machine, as it last wrote. */
  async machine(): Promise<Followed> {
    const kept = this.followed ?? (await this.store.getItem(FOLLOWED))
    this.followed = isWritten(kept) ? (kept as Followed) : newMachine()
    return this.followed
  }

  async rename(name: string): Promise<void> {
    await this.keep({ ...(await this.machine()), name })
  }

  /** As it would be written now. */
  async now({ essence, sums }: Essence, at: number): Promise<Followed> {
    return writtenNow(await this.machine(), checksum(essence), sums, at)
  }

  /** What another wrote is in the shelf now. @param own whether something of it is here alone */
  async took(
    { written }: Other,
    taken: readonly DocumentId[],
    now: Followed,
    is: Essence,
    own: boolean,
  ): Promise<void> {
    const essence = own ? now.essence : checksum(is.essence)
    await this.keep(afterTaking(now, written, taken, essence, is.sums))
  }

  /** Writes the file anew. @returns whether it was written @throws when the folder takes nothing */
  async write(file: ShelfFile, essence: string, at: number): Promise<boolean> {
    if (!this.handle || (await this.state()) !== 'ready') return false
    const now = await this.now({ essence, sums: sumsOf(file) }, at)
    const { essence: _essence, sums: _sums, ...written } = now
    await writeFile(this.handle, this.fileOf(now), JSON.stringify({ ...file, written }, null, 1))
    await this.keep(now)
    return true
  }

  /** What other machines wrote there, the latest first. */
  async others(): Promise<Other[]> {
    if (!this.handle || (await this.state()) !== 'ready') return []
    const mine = this.fileOf(await this.machine())
    const found: Other[] = []
    for await (const [name, handle] of entriesOf(this.handle)) {
      const ours = name.startsWith(`${this.shelf}.`) && name.endsWith('.kite.json')
      if (!ours || name === mine || handle.kind !== 'file') continue
      const written = await this.writtenIn(name, handle as FileSystemFileHandle)
      if (written) found.push({ written, handle: handle as FileSystemFileHandle })
    }
    return found.sort((a, b) => b.written.at - a.written.at)
  }

  private async writtenIn(name: string, handle: FileSystemFileHandle): Promise<Written | null> {
    const file = await handle.getFile()
    const before = this.read.get(name)
    if (before?.modified === file.lastModified) return before.written
    const written = writtenOf(await file.text())
    this.read.set(name, { modified: file.lastModified, written })
    return written
  }

  private fileOf({ machine }: Written): string {
    return `${this.shelf}.${machine}.kite.json`
  }

  private async keep(followed: Followed): Promise<void> {
    this.followed = followed
    await this.store.setItem(FOLLOWED, followed)
  }
}

/** What a file says of itself; null where it is no such file, or only half there. */
function writtenOf(text: string): Written | null {
  try {
    const { written } = JSON.parse(text) as { written?: unknown }
    return isWritten(written) ? written : null
  } catch {
    return null
  }
}

/** Called by its system until the person names it. */
function newMachine(): Followed {
  const [, system = 'Browser'] =
    /\b(Linux|Windows|Mac|Android|CrOS)\b/.exec(navigator.userAgent) ?? []
  const mark = newId('machine').slice(-4)
  const fresh = { at: 0, n: 0, seen: {}, documents: {}, essence: '', sums: {} }
  return { machine: `${system.toLowerCase()}-${mark}`, name: `${system} ${mark}`, ...fresh }
}

const entriesOf = (folder: FileSystemDirectoryHandle) =>
  (folder as unknown as { entries(): AsyncIterable<[string, FileSystemHandle]> }).entries()
