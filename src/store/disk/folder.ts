/** A copy of the shelf in a folder of the person's own disk, where the browser can write there. */

import { writeFile } from './spare'
import type { KeptStore } from './storage'

interface Permitted extends FileSystemDirectoryHandle {
  queryPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>
}

type Picker = (options: { id: string; mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>

const KEY = 'folder'
const mode = 'readwrite'

const picker = (): Picker | undefined =>
  (globalThis as { showDirectoryPicker?: Picker }).showDirectoryPicker

export class FolderCopy {
  private handle: Permitted | null = null

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
    const permission = (await this.handle.queryPermission?.({ mode })) ?? 'granted'
    return permission === 'granted' ? 'ready' : 'asks'
  }

  /** Asks the person for a folder. @returns why there is none, or null */
  async choose(): Promise<string | null> {
    const pick = picker()
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
    const permission = (await this.handle?.requestPermission?.({ mode })) ?? 'granted'
    return permission === 'granted'
  }

  async forget(): Promise<void> {
    this.handle = null
    await this.store.removeItem(KEY)
  }

  /** Writes the file anew. @returns whether it was written @throws when the folder takes nothing */
  async write(text: string): Promise<boolean> {
    if (!this.handle || (await this.state()) !== 'ready') return false
    await writeFile(this.handle, `${this.shelf}.kite.json`, text)
    return true
  }
}
