import type { KeptContent } from '@/core/formats/shelfFile'
import type { JournalEvent } from '@/core/journal/events'
import type { DocumentId } from '@/core/model/ids'
import { currentId, focusedWindow } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { Stretch } from '@/core/past/past'
import { emptyHistory, type History } from '@/core/rules/history'
import { every } from '@/store/clock'
import type { FolderCopy } from '@/store/disk/folder'
import type { Keeper } from '@/store/disk/keeper'
import type { Spare } from '@/store/disk/spare'
import type { Stores } from '@/store/disk/storage'
import { allDocuments, provideCatalogue, tidy } from '@/store/documents/catalogue'
import { forgetContents, provideContents, putContent } from '@/store/documents/documents'
import { exportText } from '@/store/documents/exporting'
import { unlinkGone } from '@/store/documents/linked'
import { database } from '@/store/documents/source'
import { expected, logged } from '@/store/faults'
import { setHealth, whyFailed } from '@/store/health'
import { afterFirstMoments } from '@/store/idle'
import { eventsOf, forgetDays, type Journal } from '@/store/journal'
import type { Notice } from '@/store/notices'
import { ofShelf } from '@/store/ofShelf'
import type { Past } from '@/store/past'
import type { RestorePoints } from '@/store/restorePoints'
import { keepSessions } from '@/store/sessions'
import type { Shelf } from '@/store/shelf'
import type { Version, Versions } from '@/store/versions'
import { seenFrom } from '@/store/views/replica'
import type { Views } from '@/store/views/views'
import { exportAside, setMarks } from './aside'
import type { Copies } from './copies'
import { keptIn, LOOKED_EVERY, lookAtOthers, offerFolder } from './inFolder'
import { provideKeptNotices } from './keptNotices'
import type { Lock } from './lock'
import { type Beginning, type Writers, writersOf } from './writers'

/** All that belongs to the shelf that is open. */
interface Opened {
  name: string
  stores: Stores
  folder: FolderCopy
  copies: Copies
  journal: Journal
  past: Past
  versions: Versions
  points: RestorePoints
}

const own = ofShelf(() => ({
  opened: null as Opened | null,
  settling: undefined as ReturnType<typeof setTimeout> | undefined,
}))

/** What is known of a shelf before it is open. */
export interface Opening {
  name: string
  views: Views
  lock: Lock
  /** Cut off when another page takes the shelf over. */
  over: AbortController
  /** Writes what is not written yet, before the shelf is given up. */
  finish: {
    write(): Promise<void>
    /** Writes nothing any more: another page does. */
    stop(): void
    /** Writes it, and keeps the shelf no more, though it stays open. */
    giveWay(): Promise<void>
  }
}

/** Whether this page keeps the shelf. */
export const isWriting = (shelf: Shelf): boolean => own(shelf).opened !== null

/** Another page has the shelf: nothing of it stays here. */
export function shut(shelf: Shelf): void {
  shelf.letGo()
  delete window.kiteShelf
  provideCatalogue(shelf, null)
  forgetContents(shelf)
  own(shelf).opened?.copies.stop()
  own(shelf).opened = null
}

/** Opens the shelf with a state and keeps it from then on, until another page takes it over. */
export async function begin(
  shelf: Shelf,
  { name, views, lock, over, finish }: Opening,
  stores: Stores,
  spare: Spare | null,
  given: Beginning,
  notices: Notice[],
  contents: ReadonlyMap<DocumentId, KeptContent> = new Map(),
): Promise<void> {
  const { state, written, history } = given
  // It may be kept elsewhere later, while it is still shown here.
  const keeps = new AbortController()
  over.signal.addEventListener('abort', () => keeps.abort())
  const { signal } = keeps
  const writers = writersOf(shelf, name, stores, spare, given)
  const { keeper, journal, past, versions, points, copies, folder, log } = writers
  own(shelf).opened = { name, stores, folder, copies, journal, past, versions, points }
  Object.assign(finish, endings(shelf, writers, keeps))
  const touched = new Set<DocumentId>()
  const note = together(() => {
    copies.note(shelf.state(), touched)
    touched.clear()
  })
  const changed = () => {
    keeper.soon()
    copies.soon()
    note()
  }
  provideCatalogue(shelf, stores.slots)
  provideContents(shelf, {
    source: versions.before(
      database(stores.documents, {
        seq: () => log.seq,
        ...(spare && { spare: (id) => spare.readDocument(id) }),
      }),
      () => shelf.state().settings.past > 0,
    ),
    changed: (id) => {
      touched.add(id)
      changed()
    },
    told: (id, content, put) => views.changed(id, content, put),
  })
  for (const [id, content] of contents) putContent(shelf, id, content)
  use(shelf, views.fixed ? seenFrom(state, views.own) : state, history)
  // What changes from here on is noted against it.
  copies.note(state, [])
  await provideKeptNotices(shelf, stores.slots, notices)
  await journal.open(shelf.clock())
  past.open(shelf.page.getState().session)
  const stopSessions = await keepSessions(shelf, stores.sessions, written).catch((error) => {
    setHealth(shelf, 'sessions', { is: 'amiss', says: `They can’t be read. ${whyFailed(error)}` })
    return () => {}
  })
  await offerFolder(shelf, folder).catch(logged('The folder for copies'))
  const stopFollowing = follow(shelf, writers, changed, signal)
  signal.addEventListener('abort', () => {
    stopSessions()
    stopFollowing()
  })
  void lock.lost.then(() => {
    keeper.stop()
    over.abort()
    shut(shelf)
  })
  // A first state is in both places before anything can be done to it: a log needs a copy to apply it to.
  if (written === null)
    await Promise.race([Promise.all([keeper.flush(), copies.first()]), pass(FIRST_WITHIN)])
  else copies.soon()
  setMarks(name, { kept: true })
  views.lead()
  // One whose browser window is gone since is told after the others have said that they are there.
  const late = setTimeout(() => giveBackGone(shelf, views), OTHERS_WITHIN)
  signal.addEventListener('abort', () => clearTimeout(late))
  shelf.page.setState({ ready: true })
  void navigator.storage?.persist?.().catch(expected('the browser does not say', false))
  afterFirstMoments(() => void copies.fill().catch(logged('Documents in the second copy')), signal)
  keepTidy(shelf, signal)
  const told = new Map<string, number>()
  const look = () => {
    if (document.visibilityState === 'visible' && folder.name)
      void lookAtOthers(shelf, folder, told).catch(logged('What other machines wrote'))
  }
  afterFirstMoments(look, signal)
  signal.addEventListener('abort', every(shelf, LOOKED_EVERY, look))
}

/** How a page ends to keep its shelf. */
function endings(
  shelf: Shelf,
  { keeper, past, copies }: Writers,
  keeps: AbortController,
): Opening['finish'] {
  const write = async () => {
    await keeper.flush()
    await keepPast(past)
    await copies.now()
    // What could not be written now must not be tried again later, from a page that has nothing left.
    keeper.stop()
  }
  return {
    write,
    stop: () => {
      keeper.stop()
      copies.stop()
    },
    giveWay: async () => {
      await write()
      keeps.abort()
      copies.stop()
      own(shelf).opened = null
      provideCatalogue(shelf, null)
    },
  }
}

/**
 * Writes down what happens from now on.
 * @param changed to be called when the state is another
 * @returns what ends it
 */
function follow(
  shelf: Shelf,
  { journal, past, keeper, keeping, copies }: Writers,
  changed: () => void,
  signal: AbortSignal,
): () => void {
  const offJournal = shelf.onJournal((events) => journal.add(events))
  const offShelf = shelf.page.subscribe((now, before) => {
    const [is, was] = [now.session.state, before.session.state]
    if (is === was) return
    past.note(now.session)
    if (is.settings.past !== was.settings.past) tidyPast(shelf)
    changed()
    settleLater(shelf, async () => {
      await keepPast(past)
      await keeping.settle()
    })
  })
  keepPresence((kind) => {
    const app = focusedWindow(shelf.state())?.app
    const to = currentId(shelf.state())
    journal.add([{ kind, to, at: shelf.clock(), by: 'app', ...(app && { app }) }])
    keeper.soon()
  }, signal)
  writeWhenLeft(keeper, past, copies, signal)
  return () => {
    offJournal()
    offShelf()
    clearTimeout(own(shelf).settling)
  }
}

/** How soon other views say that they are there, in milliseconds. */
const OTHERS_WITHIN = 1500

/** Displays of the size of a browser window that is not there any more. */
function giveBackGone(shelf: Shelf, views: Views): void {
  for (const { id, measured } of Object.values(shelf.state().displays))
    if (measured && id !== views.own && !views.isElsewhere(id))
      shelf.dispatch('display.giveBack', { display: id }, 'app')
}

/** Chooses a folder to keep a copy in, allows one again, or ends it. @returns what to say */
export async function keepInFolder(shelf: Shelf): Promise<{ says: string; refused?: boolean }> {
  const { opened } = own(shelf)
  return opened
    ? keptIn(shelf, opened.folder, () => opened.copies.now())
    : { says: 'Nothing is being saved.', refused: true }
}

/** The folder a copy is kept in; null in a view that follows another. */
export const folderOf = (shelf: Shelf): FolderCopy | null => own(shelf).opened?.folder ?? null

/** What the journal has of the day of a moment; a view that follows another has none. */
export async function journalOf(shelf: Shelf, moment: number): Promise<JournalEvent[]> {
  const { opened } = own(shelf)
  return opened ? eventsOf(opened.stores.journal, moment) : []
}

/** How the shelf stood in a span, as far as it is kept; null in a view that follows another. */
export async function pastOf(shelf: Shelf, from: number, until: number): Promise<Stretch[] | null> {
  const { opened } = own(shelf)
  return opened ? opened.past.read(from, until) : null
}

/** What documents said before they changed, as far as it is kept. */
export const versionsOf = async (shelf: Shelf): Promise<Version[]> =>
  (await own(shelf).opened?.versions.all()) ?? []

/** What a document said. @throws when it cannot be read */
export const readVersion = async (shelf: Shelf, version: Version): Promise<unknown> =>
  own(shelf).opened?.versions.read(version) ?? null

/** Whole shelves that are kept to go back to; null in a view that follows another. */
export const restorePointsOf = (shelf: Shelf): RestorePoints | null =>
  own(shelf).opened?.points ?? null

/** A name of a restore point is no longer, in characters. */
const NAME_MOST = 120

/**
 * Keeps the whole shelf before something that changes much of it. What follows does not hang on it: it can be
 * undone as well.
 * @param name what is about to happen
 */
export async function pointBefore(shelf: Shelf, name: string): Promise<void> {
  await restorePointsOf(shelf)
    ?.add(name.slice(0, NAME_MOST), false, await exportText(shelf))
    .catch(logged('A restore point'))
}

/**
 * Strikes a span of one day from the journal, and how the shelf stood in it, for good. @returns whether this view can
 * @param from milliseconds since 1970; so is `until`
 */
export async function strike(shelf: Shelf, from: number, until: number): Promise<boolean> {
  const { opened } = own(shelf)
  await opened?.journal.strike(from, until)
  await opened?.past.strike(from, until)
  await opened?.versions.strike(from, until)
  return opened !== null
}

/**
 * Strikes an app from the journal, from how the shelf stood and from what its documents said, for good.
 * @returns whether that could be done here
 */
export async function strikeApp(shelf: Shelf, app: string): Promise<boolean> {
  const { opened } = own(shelf)
  if (!opened) return false
  await opened.journal.strikeApp(app)
  const had = await opened.past.strikeApp(app)
  for (const one of Object.values(shelf.state().documents)) if (one.app === app) had.add(one.id)
  await opened.versions.strikeAll(had)
  return true
}

/** All that was set aside, as it was found; null when there is nothing. */
export async function damagedCopies(shelf: Shelf): Promise<Blob | null> {
  const { opened } = own(shelf)
  return opened ? exportAside(opened.name, opened.stores.slots, shelf.stores) : null
}

/** Shows a state. */
export const use = (shelf: Shelf, state: State, history: History = emptyHistory): void =>
  shelf.page.setState({ session: { state, history } })
/** How long the person pauses before a snapshot is written, in milliseconds. */
const PAUSE = 4000

function settleLater(shelf: Shelf, settle: () => Promise<void>): void {
  clearTimeout(own(shelf).settling)
  own(shelf).settling = setTimeout(async () => {
    try {
      await settle()
      setHealth(shelf, 'snapshot', { is: 'good', says: 'Snapshots are written.' })
    } catch (error) {
      const says = `Changes are saved, but no new snapshot can be written. ${whyFailed(error)} The next start may take longer.`
      setHealth(shelf, 'snapshot', { is: 'amiss', says })
    }
  }, PAUSE)
}

/** Does at once, and once, what is asked for several times in one moment. */
function together(work: () => void): () => void {
  let asked = false
  return () => {
    if (asked) return
    asked = true
    queueMicrotask(() => {
      asked = false
      work()
    })
  }
}

/** Who leaves may not come back for long. */
function writeWhenLeft(keeper: Keeper, past: Past, copies: Copies, signal: AbortSignal): void {
  const flush = () => {
    void keeper.flush()
    void keepPast(past)
  }
  addEventListener('pagehide', flush, { signal })
  const seen = () => {
    flush()
    if (document.visibilityState === 'hidden') void copies.now()
  }
  document.addEventListener('visibilitychange', seen, { signal })
}

/** A store that does not answer does not keep the person out, in milliseconds. */
const FIRST_WITHIN = 2000

const pass = (time: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, time))

const TIDY_EVERY = 3_600_000
const DAY = 24 * TIDY_EVERY

/** Soon after the start and once an hour. */
function keepTidy(shelf: Shelf, signal: AbortSignal): void {
  const work = () => {
    void tidy(shelf, shelf.clock()).catch(logged('Documents are not tidied'))
    const { log } = shelf.state().settings
    // Where none is kept today goes too.
    const first = shelf.clock() + (log === 0 ? DAY : -log * DAY)
    const { opened } = own(shelf)
    if (!opened) return
    void forgetDays(opened.stores.journal, first).catch(logged('The log is not tidied'))
    tidyPast(shelf)
    void allDocuments(shelf)
      .then((all) => unlinkGone(shelf, all))
      .catch(logged('Which documents have a file'))
  }
  afterFirstMoments(work, signal)
  signal.addEventListener('abort', every(shelf, TIDY_EVERY, work))
}

/** With a pause, not with each change: without it the shelf is as safe as with it. */
const keepPast = (past: Past): Promise<void> =>
  past.write().catch(logged('How the shelf stood is not kept'))

/** How the shelf stood before the days that are wanted goes; where none are, all of it. */
function tidyPast(shelf: Shelf): void {
  const { opened } = own(shelf)
  const { past } = shelf.state().settings
  const before = past ? shelf.clock() - past * DAY : Number.POSITIVE_INFINITY
  if (opened)
    void Promise.all([opened.past.forget(before), opened.versions.forget(before)]).catch(
      logged('How the shelf stood is not tidied'),
    )
}

/** Tells when the page is looked at, first now, and when it is left. */
function keepPresence(tell: (kind: 'here' | 'away') => void, signal: AbortSignal): void {
  tell('here')
  const changed = () => tell(document.visibilityState === 'visible' ? 'here' : 'away')
  document.addEventListener('visibilitychange', changed, { signal })
  addEventListener('pagehide', () => tell('away'), { signal })
}
