import type { State } from '@/core/model/state'
import type { History, Step } from '@/core/rules/history'
import { ChangeLog } from '@/store/disk/changeLog'
import { FolderCopy } from '@/store/disk/folder'
import { Keeper } from '@/store/disk/keeper'
import { Keeping } from '@/store/disk/keeping'
import { isOnPage, logOf } from '@/store/disk/logWays'
import type { Spare } from '@/store/disk/spare'
import { Steps } from '@/store/disk/steps'
import { type Stores, whyNotKept } from '@/store/disk/storage'
import { NotWritten, writeContents } from '@/store/documents/documents'
import { contentsOf } from '@/store/documents/importing'
import { NO_WORKERS, setHealth, WORKERS_RUN, whyFailed } from '@/store/health'
import { Journal } from '@/store/journal'
import { Past } from '@/store/past'
import { RestorePoints } from '@/store/restorePoints'
import { setSaving } from '@/store/saving'
import type { Shelf } from '@/store/shelf'
import { Versions } from '@/store/versions'
import { databaseFor } from './aside'
import { Copies } from './copies'
import { copyToFolder } from './inFolder'
import { tellNotWritten } from './keptNotices'

/** What a shelf begins with. */
export interface Beginning {
  state: State
  revision: number
  slots: [number, number]
  /** The state as it is in the store; null where it has to be written first. */
  written: State | null
  /** The last line of the log of changes that is known. */
  seq?: number
  /** Whether lines of the log are missing before what comes now. */
  gap?: boolean
  /** The last one that the state has, where lines after it are about documents only. */
  stateSeq?: number
  /** What can be undone, and which steps of it are not in the store. */
  history?: History
  unwritten?: Iterable<number>
}

export type Writers = ReturnType<typeof writersOf>

/** All that writes a shelf down: the state, the journal, the log of changes and the copies. */
export function writersOf(
  shelf: Shelf,
  name: string,
  stores: Stores,
  spare: Spare | null,
  { written, revision, slots, seq = 0, stateSeq = seq, gap = false, ...given }: Beginning,
) {
  const contents = (step: number) => contentsOf(shelf, step)
  const unwritten = new Set(given.unwritten)
  const isThere = ({ id }: Step) => !unwritten.has(id)
  const steps = new Steps(stores.slots, contents)
  const keeping = new Keeping(stores.slots, written, revision, slots, steps, given.history, isThere)
  const journal = new Journal(shelf, stores.journal)
  const past = new Past(stores.sessions, shelf.clock)
  const versions = new Versions(stores.sessions, shelf.clock)
  const points = new RestorePoints(stores.sessions, shelf.clock)
  const folder = new FolderCopy(stores.slots, name)
  const writer = spare
    ? logOf(databaseFor(name), (way, why) => {
        copies.logged(way === null ? { why: whyFailed(why) } : 'at once')
        if (way !== null) setHealth(shelf, 'workers', isOnPage(way) ? NO_WORKERS : WORKERS_RUN)
      })
    : NO_LOG
  const log = new ChangeLog(writer, seq, stateSeq, contents, gap)
  const copies: Copies = new Copies(shelf, spare, log, () => copyToFolder(shelf, folder))
  const keeper = keeperOf(shelf, () => writeAll(shelf, keeping, journal, log.seq))
  return { keeping, journal, past, versions, points, folder, log, copies, keeper }
}

/** Each by itself: what can be written is, whatever cannot. @throws the first of what went wrong */
async function writeAll(
  shelf: Shelf,
  keeping: Keeping,
  journal: Journal,
  seq: number,
): Promise<void> {
  const all = await Promise.allSettled([
    keeping.write(shelf.state(), seq, shelf.page.getState().session.history),
    writeContents(shelf),
    journal.write(),
  ])
  const [, documents] = all
  const wrong = all.find(({ status }) => status === 'rejected') as PromiseRejectedResult | undefined
  tellNotWritten(shelf, documents.status === 'rejected' ? documents.reason : null)
  if (wrong) throw wrong.reason instanceof NotWritten ? wrong.reason.why : wrong.reason
}

/** Without a second copy there is nothing for a log to follow. */
const NO_LOG = { send: () => {}, close: () => {} }

/** Writes, and says how that went. */
const keeperOf = (shelf: Shelf, write: () => Promise<void>): Keeper =>
  new Keeper({
    write,
    saving: () => setSaving(shelf, { state: 'saving' }),
    saved: () => {
      setSaving(shelf, { state: 'saved' })
      setHealth(shelf, 'database', { is: 'good', says: 'Every change is saved.' })
    },
    failed: (error) => {
      const why = whyNotKept(error)
      setSaving(shelf, { state: 'failed', why })
      setHealth(shelf, 'database', { is: 'amiss', says: why })
    },
  })
