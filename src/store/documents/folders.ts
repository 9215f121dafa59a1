import { createStore, useStore } from 'zustand'
import type { FolderFile } from '@/core/finding/find'
import type { DesktopId } from '@/core/model/ids'
import { allowed } from '@/store/disk/handles'
import type { KeptStore } from '@/store/disk/storage'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/**
 * Folders of the computer that stand by desktops: what is in them is opened by its name, and documents that
 * are new on the desktop are saved there.
 */

type FolderStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

const PREFIX = 'folder-'
/** So deep is looked into folders in it, and so many files are listed at most. */
const DEEP = 3
const MOST = 2000

const own = ofShelf(() => ({
  store: null as FolderStore | null,
  folders: new Map<DesktopId, FileSystemDirectoryHandle>(),
  files: new Map<string, FileSystemFileHandle>(),
}))

const listed = ofShelf(() => createStore<{ list: FolderFile[] }>(() => ({ list: [] })))

export const useFolderFiles = (): FolderFile[] => useStore(listed(useShelf()), ({ list }) => list)

/** Which desktops have a folder, from what is kept of it. */
export async function provideFolders(shelf: Shelf, store: FolderStore): Promise<void> {
  const mine = own(shelf)
  mine.store = store
  mine.folders.clear()
  for (const key of await store.keys()) {
    if (!key.startsWith(PREFIX)) continue
    const handle = await store.getItem(key)
    if (handle instanceof FileSystemDirectoryHandle)
      mine.folders.set(key.slice(PREFIX.length), handle)
  }
}

export const folderBy = (shelf: Shelf, desktop: DesktopId): FileSystemDirectoryHandle | undefined =>
  own(shelf).folders.get(desktop)

/** From now on that folder stands by the desktop. */
export async function giveFolder(
  shelf: Shelf,
  desktop: DesktopId,
  handle: FileSystemDirectoryHandle,
): Promise<void> {
  own(shelf).folders.set(desktop, handle)
  await own(shelf).store?.setItem(`${PREFIX}${desktop}`, handle)
}

export async function leaveFolder(shelf: Shelf, desktop: DesktopId): Promise<void> {
  own(shelf).folders.delete(desktop)
  await own(shelf).store?.removeItem(`${PREFIX}${desktop}`)
  const { list } = listed(shelf).getState()
  listed(shelf).setState({ list: list.filter((one) => one.desktop !== desktop) })
}

/**
 * Lists again what is in the folders that may be read.
 * @param opens whether a file of that name can be opened
 */
export async function listFolders(shelf: Shelf, opens: (name: string) => boolean): Promise<void> {
  const { folders, files } = own(shelf)
  const list: FolderFile[] = []
  files.clear()
  for (const [desktop, handle] of folders) {
    if (!(await allowed(handle, 'read'))) continue
    for await (const [path, file] of filesIn(handle, DEEP)) {
      if (list.length >= MOST) break
      if (!opens(path)) continue
      list.push({ desktop, folder: handle.name, path })
      files.set(`${desktop}/${path}`, file)
    }
  }
  listed(shelf).setState({ list })
}

async function* filesIn(
  folder: FileSystemDirectoryHandle,
  deep: number,
  before = '',
): AsyncGenerator<[string, FileSystemFileHandle]> {
  const entries = folder as unknown as { entries(): AsyncIterable<[string, FileSystemHandle]> }
  for await (const [name, handle] of entries.entries()) {
    // What a name hides is not for people.
    if (name.startsWith('.')) continue
    if (handle.kind === 'file') yield [`${before}${name}`, handle as FileSystemFileHandle]
    else if (deep > 1)
      yield* filesIn(handle as FileSystemDirectoryHandle, deep - 1, `${before}${name}/`)
  }
}

/** A file that was listed; undefined where it was not. */
export const fileAt = (
  shelf: Shelf,
  desktop: DesktopId,
  path: string,
): FileSystemFileHandle | undefined => own(shelf).files.get(`${desktop}/${path}`)

/** A file that is not there yet: of that name, or with a number where there is one. */
export async function newFileIn(
  folder: FileSystemDirectoryHandle,
  name: string,
): Promise<FileSystemFileHandle> {
  const [, stem = name, extension = ''] = /^(.*?)((?:\.\w+)?)$/.exec(name) ?? []
  for (let n = 1; ; n++) {
    const tried = n === 1 ? name : `${stem} ${n}${extension}`
    const there = await folder.getFileHandle(tried).then(
      () => true,
      (error: Error) => {
        if (error.name === 'NotFoundError') return false
        if (error.name === 'TypeMismatchError') return true
        throw error
      },
    )
    if (!there) return folder.getFileHandle(tried, { create: true })
  }
}

/** A file for a document that has none, in the folder of the desktop it is on; null where there is no folder. */
export async function placeInFolder(
  shelf: Shelf,
  desktop: DesktopId,
  name: string,
): Promise<FileSystemFileHandle | null> {
  const folder = folderBy(shelf, desktop)
  return folder && (await allowed(folder, 'readwrite', true)) ? newFileIn(folder, name) : null
}
