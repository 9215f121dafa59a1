/**
 * Writes what changed since the last second copy straight into files, each line as soon as it comes.
 * Only a worker may write into a file without making a new one of it each time.
 */

import { LOGS } from './logs'

/**
 * What the page asks: to open the files of a shelf, to add a line, to go on in the other file, or to
 * let go of what is in the one before, which a copy has by now.
 */
export type LogOrder = { open: string } | { line: string } | { turn: true } | { drop: true }

/** Part of the File System Standard that the types of the page do not have. */
interface SyncHandle {
  write(data: Uint8Array, options: { at: number }): number
  truncate(size: number): void
  getSize(): number
  flush(): void
}
type Openable = FileSystemFileHandle & { createSyncAccessHandle(): Promise<SyncHandle> }

let handles: SyncHandle[] = []
let current = 0
const encoder = new TextEncoder()

async function open(shelf: string): Promise<void> {
  const root = await navigator.storage.getDirectory()
  const folder = await root.getDirectoryHandle(`kite-shelf-${shelf}`, { create: true })
  handles = await Promise.all(
    LOGS.map(async (name) => {
      const file = (await folder.getFileHandle(name, { create: true })) as Openable
      // The page before this one may still be letting go of it.
      for (let tries = 0; tries < 20; tries++) {
        try {
          return await file.createSyncAccessHandle()
        } catch {
          await new Promise((resolve) => setTimeout(resolve, 100))
        }
      }
      return file.createSyncAccessHandle()
    }),
  )
}

let ready: Promise<void> = Promise.resolve()

addEventListener('message', ({ data }: MessageEvent<LogOrder>) => {
  if ('open' in data) ready = open(data.open)
  ready = ready.then(() => {
    const handle = handles[current]
    if ('line' in data && handle)
      handle.write(encoder.encode(`${data.line}\n`), { at: handle.getSize() })
    if ('turn' in data) current = 1 - current
    if ('drop' in data) handles[1 - current]?.truncate(0)
  })
  // Without files the second copy is as old as it is without a log.
  ready.catch(() => {})
})
