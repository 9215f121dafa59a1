/**
 * Only one page writes a shelf, and only one shows each of its displays. Others wait, or ask the one
 * that has it to give it up.
 */

import type { Shelf } from '@/store/shelf'
import type { Locks } from '@/store/views/locks'

/** How long the page that has the shelf is given to write the last of it, in milliseconds. */
const PATIENCE = 2000

/** What is used of a shelf. */
type Pages = Pick<Shelf, 'locks' | 'channel'>

export interface Lock {
  /** Resolves when another page has taken the shelf without waiting. */
  lost: Promise<void>
  release(): void
}

const ASKED = 'give the shelf up'

/**
 * The right to be the page that shows a display, or null while another page has it.
 * @param what the shelf, and which of its displays
 * @param take asks the page that has it to give it up, and takes it when no answer comes
 * @param asked another page wants it: write the last of it, then release the lock
 */
export async function claim(
  what: string,
  take: boolean,
  asked: (lock: Lock) => void,
  { locks, channel: channelOf }: Pages,
): Promise<Lock | null> {
  const name = `kite-shelf-${what}`
  const channel = channelOf(name)
  let lock = await request(locks, name, { ifAvailable: true })
  if (!lock && take) {
    channel.postMessage(ASKED)
    lock =
      (await request(locks, name, { signal: AbortSignal.timeout(PATIENCE) })) ??
      (await request(locks, name, { steal: true }))
  }
  if (!lock) {
    channel.close()
    return null
  }
  const held = lock
  channel.onmessage = ({ data }) => data === ASKED && asked(held)
  return held
}

/** The right to write a shelf, or null while another page has it. */
export const claimWriting = ({ locks }: Pages, shelf: string): Promise<Lock | null> =>
  request(locks, `kite-shelf-${shelf}`, { ifAvailable: true })

/** The same, taken from a page that does not answer any more. */
export const takeWriting = ({ locks }: Pages, shelf: string): Promise<Lock | null> =>
  request(locks, `kite-shelf-${shelf}`, { steal: true })

/** The same, as soon as no other page has it; null when it is not waited for any more. */
export const awaitWriting = (
  { locks }: Pages,
  shelf: string,
  signal: AbortSignal,
): Promise<Lock | null> => request(locks, `kite-shelf-${shelf}`, { signal })

function request(locks: Locks, name: string, options: LockOptions): Promise<Lock | null> {
  return new Promise((resolve) => {
    let lose = () => {}
    const lost = new Promise<void>((done) => {
      lose = done
    })
    locks
      .request(name, options, (lock) => {
        if (!lock) return resolve(null)
        return new Promise<void>((release) => resolve({ lost, release }))
      })
      // Waited too long for it, or held it until it was taken.
      .catch(() => {
        resolve(null)
        lose()
      })
  })
}
