/**
 * Writes what changed since the last second copy straight into files, each line as soon as it comes.
 * Only a worker may write into a file without making a new one of it each time.
 */

import { LOGS } from './logs'
import type { LogAnswer, LogOrder } from './logWriter'

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

async function open(shelf: string, at: number): Promise<void> {
  current = at
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

addEventListener(
  'message',
  ({ data: { n, order } }: MessageEvent<{ n: number; order: LogOrder }>) => {
    if ('open' in order) ready = open(order.open, order.at)
    ready = ready.then(() => {
      const handle = handles[current]
      if ('line' in order && handle)
        handle.write(encoder.encode(`${order.line}\n`), { at: handle.getSize() })
      if ('turn' in order) current = 1 - current
      if ('drop' in order) handles[1 - current]?.truncate(0)
    })
    const answer = (given: LogAnswer) => postMessage(given)
    ready.then(
      () => answer({ n }),
      ({ name, message }: Error) => answer({ n, fault: { name, message } }),
    )
  },
)
