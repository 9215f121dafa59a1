import type { DesktopId } from '@/core/model/ids'
import type { EVERY } from '@/core/model/kinds/window'
import { cameFrom } from '@/store/disk/handles'
import { putContent } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'
import { openFiles } from './openFiles'

/** What comes from outside, dropped or pasted. */
interface Incoming {
  files: File[]
  /** An address of the web, where it is one. */
  address: string | null
  text: string
}

/** So much of a text is the name of what is made of it, in letters. */
const NAME = 40

/** Whether something is dragged that becomes a window; what it is browsers tell when it is dropped. */
export const isTaken = ({ types }: DataTransfer): boolean =>
  ['Files', 'text/uri-list', 'text/plain'].some((type) => types.includes(type))

export function incoming(data: DataTransfer): Incoming {
  const text = data.getData('text/plain')
  const [listed] = data
    .getData('text/uri-list')
    .split(/\r?\n/)
    .filter((line) => line && !line.startsWith('#'))
  return { ...said(listed ?? text), files: filesOf(data), text: text.trim() }
}

/** With where each lies, which the browser tells only while it is dropped. */
function filesOf({ items, files }: DataTransfer): File[] {
  const all = [...items].filter(({ kind }) => kind === 'file') as Dropped[]
  const placed = all.map((item) => [item.getAsFile(), item.getAsFileSystemHandle?.()] as const)
  const found = placed.flatMap(([file, handle]) =>
    file ? [handle ? cameFrom(file, handle.then(fileAmong)) : file] : [],
  )
  return found.length ? found : [...files]
}

interface Dropped extends DataTransferItem {
  getAsFileSystemHandle?(): Promise<FileSystemHandle | null>
}

const fileAmong = (handle: FileSystemHandle | null): FileSystemFileHandle | null =>
  handle?.kind === 'file' ? (handle as FileSystemFileHandle) : null

/** A text, or an address of the web where it is nothing else. */
export function said(given: string): Incoming {
  const text = given.trim()
  const isAddress = /^https?:\/\/\S+$/i.test(text) && URL.canParse(text)
  return { files: [], address: isAddress ? text : null, text }
}

/** What it would be called: a file by its name, a page by its site, a text by its first line. */
export const nameOf = ({ files, address, text }: Incoming): string => {
  const name =
    files[0]?.name.replace(/\.\w+$/, '') ??
    (address ? new URL(address).host : (text.split('\n')[0] ?? '').replace(/^#+\s*/, ''))
  return name.slice(0, NAME).trim()
}

/**
 * Opens a window for what came: an address in a web page, a text as a document, files in their apps.
 * @param on the desktop it was dropped on; else homes say where
 * @returns whether there was anything
 */
export function takeIn(shelf: Shelf, came: Incoming, on?: DesktopId | typeof EVERY): boolean {
  const { files, address, text } = came
  if (files.length === 0 && address) {
    const document = newId('document')
    putContent(shelf, document, { saved: { visited: [address] }, draft: null })
    const windows = [{ app: 'web', document, title: nameOf(came) }]
    shelf.dispatch('window.openAll', { windows, ...(on && { on }) })
    return true
  }
  if (files.length === 0 && !text) return false
  // A text is a file that begins with its first line.
  const all = files.length
    ? files
    : [new File([text], `${nameOf(came)}.md`, { type: 'text/markdown' })]
  void openFiles(shelf, all, on)
  return true
}
