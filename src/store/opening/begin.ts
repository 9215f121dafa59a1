import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { currentId, focusedWindow } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { emptyHistory, type History } from '@/core/rules/history'
import { every } from '@/store/clock'
import type { Keeper } from '@/store/disk/keeper'
import type { Spare } from '@/store/disk/spare'
import type { Stores } from '@/store/disk/storage'
import { allDocuments, provideCatalogue, tidy } from '@/store/documents/catalogue'
import { forgetContents, provideContents, putContent } from '@/store/documents/documents'
import { unlinkGone } from '@/store/documents/linked'
import { database } from '@/store/documents/source'
import { expected, logged } from '@/store/faults'
import { setHealth, whyFailed } from '@/store/health'
import { afterFirstMoments } from '@/store/idle'
import { forgetDays } from '@/store/journal'
import type { Notice } from '@/store/notices'
import { ofShelf } from '@/store/ofShelf'
import type { Past } from '@/store/past'
import { keepSessions } from '@/store/sessions'
import type { Shelf } from '@/store/shelf'
import { seenFrom } from '@/store/views/replica'
import type { Views } from '@/store/views/views'
import { setMarks } from './aside'
import type { Copies } from './copies'
import { LOOKED_EVERY, lookAtOthers, offerFolder } from './inFolder'
import { provideKeptNotices } from './keptNotices'
import type { Lock } from './lock'
import { openedOf, setOpened } from './opened'
import { type Beginning, type Writers, writersOf } from './writers'

const own = ofShelf(() => ({
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

/** Another page has the shelf: nothing of it stays here. */
export function shut(shelf: Shelf): void {
  shelf.letGo()
  delete window.kiteShelf
  provideCatalogue(shelf, null)
  forgetContents(shelf)
  openedOf(shelf)?.copies.stop()
  setOpened(shelf, null)
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
  setOpened(shelf, { name, stores, folder, copies, journal, past, versions, points })
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
      setOpened(shelf, null)
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
    const opened = openedOf(shelf)
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
  const opened = openedOf(shelf)
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
