import { expected } from '@/store/faults'

/** Files of the computer, where the browser lets a page keep hold of one (File System Access). */

type Mode = 'read' | 'readwrite'

/** What browsers have that let a page write files. */
interface Permitted {
  queryPermission?(options: { mode: Mode }): Promise<PermissionState>
  requestPermission?(options: { mode: Mode }): Promise<PermissionState>
}

interface Pickers {
  showOpenFilePicker?(options: object): Promise<FileSystemFileHandle[]>
  showSaveFilePicker?(options: object): Promise<FileSystemFileHandle>
  showDirectoryPicker?(options: object): Promise<FileSystemDirectoryHandle>
}

export const pickers = (): Pickers => globalThis as Pickers

/** Which file of the computer one was read from; nothing is known of one that came by another way. */
const came = new WeakMap<File, Promise<FileSystemFileHandle | null>>()

export function cameFrom(file: File, handle: Promise<FileSystemFileHandle | null>): File {
  came.set(file, handle.catch(expected('it is a file without a place, then', null)))
  return file
}

export const handleOf = async (file: File): Promise<FileSystemFileHandle | null> =>
  (await came.get(file)) ?? null

/**
 * Whether something may be read, or written.
 * @param ask asks the person, which a browser does only after a key or a push
 */
export async function allowed(
  handle: FileSystemHandle & Permitted,
  mode: Mode,
  ask = false,
): Promise<boolean> {
  const now = (await handle.queryPermission?.({ mode })) ?? 'granted'
  if (now === 'granted' || !ask) return now === 'granted'
  return ((await handle.requestPermission?.({ mode })) ?? 'granted') === 'granted'
}

/**
 * Writes a file beside the one that is there, and puts it in its place when all is written: whatever
 * happens meanwhile, one of the two is there whole.
 * @param unless told of the file as it is just before it is replaced: whether it is left as it is
 * @returns the file as it is then; null where it was left
 * @throws when it cannot be written
 */
export async function replaceFile(
  handle: FileSystemFileHandle,
  bytes: Blob | string,
  unless: (there: File) => boolean = () => false,
): Promise<File | null> {
  const writing = await handle.createWritable()
  try {
    await writing.write(bytes)
    if (unless(await handle.getFile())) {
      await writing.abort()
      return null
    }
    await writing.close()
  } catch (error) {
    await writing.abort().catch(expected('why it could not be written is thrown'))
    throw error
  }
  return handle.getFile()
}

/** The person left the dialog of the browser. */
export const isLeft = (error: unknown): boolean => (error as Error | null)?.name === 'AbortError'

/** Why a file could not be read or written, as a sentence. */
export function whyNoFile(error: unknown): string {
  switch ((error as Error | null)?.name) {
    case 'NotFoundError':
      return 'It isn’t there any more: it was moved, renamed or deleted.'
    case 'NotAllowedError':
    case 'SecurityError':
    case 'NoModificationAllowedError':
      return 'It can only be read, or the browser isn’t allowed to write it.'
    case 'QuotaExceededError':
      return 'The disk is full.'
    default:
      return 'It can’t be reached now.'
  }
}
