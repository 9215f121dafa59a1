import type { KeptContent } from '@/core/formats/shelfFile'
import type { JournalEvent } from '@/core/journal/events'
import type { DocumentId } from '@/core/model/ids'
import { initialState } from '@/core/model/initial'
import type { State } from '@/core/model/state'
import type { Stretch } from '@/core/past/past'
import { emptyHistory } from '@/core/rules/history'
import { followWaits } from '@/store/attention'
import { findKept, type Kept } from '@/store/disk/keeping'
import type { Spare, SpareCopy } from '@/store/disk/spare'
import { readSteps, type StepContents } from '@/store/disk/steps'
import { databaseLost, type KeptStore, type Stores } from '@/store/disk/storage'
import { provideContents } from '@/store/documents/documents'
import { provideFolders } from '@/store/documents/folders'
import { followTravel, knowContents } from '@/store/documents/importing'
import { provideFiles } from '@/store/documents/linked'
import { isStored, NOWHERE, type Stored } from '@/store/documents/source'
import { provideTalk } from '@/store/documents/talk'
import { expected, logged } from '@/store/faults'
import { setHealth, whyFailed } from '@/store/health'
import { keepDays } from '@/store/journal'
import type { Notice } from '@/store/notices'
import { keepStretches } from '@/store/past'
import { onReport } from '@/store/reports'
import { setSaving } from '@/store/saving'
import type { Shelf } from '@/store/shelf'
import { waitFor } from '@/store/starting'
import { Views } from '@/store/views/views'
import { databaseFor, exportDatabase, leaveDatabase, marksOf, setAside } from './aside'
import { begin, type Opening as Locked, shut, use } from './begin'
import { follow, giveWay, pageFor, type Seat, type Writing } from './following'
import { claim, claimWriting, type Lock, takeWriting } from './lock'
import { openSecond, type Second } from './secondCopy'
import { when } from './when'

/** What a shelf starts with when nothing is kept yet. */
export interface Seed {
  state: State
  contents: Record<string, unknown>
  /** What happened before, in order. */
  journal?: JournalEvent[]
  /** How it stood before, in order. */
  past?: Stretch[]
}

/** The shelf could not be read. Nothing is written until the person has chosen what to do. */
export interface Trouble {
  why: string
  /** When the spare copy is of, in milliseconds since 1970; null where there is none. */
  spareAt: number | null
  openSpare?(): Promise<void>
  exportThere(): Promise<Blob>
  beginAnew?(): Promise<void>
  /** An empty shelf of which nothing is kept. */
  workWithout(): void
}

/** `silent`: another page keeps the shelf, and does not answer. */
export type Started = 'ready' | 'elsewhere' | 'silent' | Trouble

interface Opening extends Locked {
  seed(): Promise<Seed>
}

/**
 * Loads a shelf and keeps it from then on; while another page keeps it, follows that one.
 * @param take when another page shows this display, it gives it up; else that is `elsewhere`
 */
export async function start(
  shelf: Shelf,
  name: string,
  seed: () => Promise<Seed>,
  take = false,
  seat: Seat = { display: 'near', fixed: false },
): Promise<Started> {
  const over = new AbortController()
  const finish = { write: async () => {}, giveWay: async () => {}, stop: () => {} }
  const writing: Writing = { lock: null }
  const giveUp = (held: Lock) => {
    // What would be done from now on would not be written any more.
    shelf.page.setState({ takenOver: true })
    over.abort()
    void finish.write().finally(() => {
      shut(shelf)
      writing.lock?.release()
      held.release()
    })
  }
  const lock = await claim(`${name}-${seat.display}`, take, giveUp, shelf)
  if (!lock) return 'elsewhere'
  const page = pageFor(shelf, seat, () => void giveWay(shelf, opening, writing))
  const views = new Views(name, seat.display, seat.fixed, page, shelf.channel, shelf.locks)
  over.signal.addEventListener('abort', () => views.close())
  void lock.lost.then(() => {
    writing.lock?.release()
    over.abort()
    shut(shelf)
  })
  shelf.join(views)
  provideTalk(shelf, views)
  const { slots } = shelf.stores(databaseFor(name))
  void provideFolders(shelf, slots).catch(logged('Which desktops have a folder'))
  void provideFiles(shelf, name, slots, over.signal).catch(logged('Which documents have a file'))
  followWaits(shelf)
  followTravel(shelf)
  const off = onReport(shelf, (document, given) => views.reported(document, given))
  over.signal.addEventListener('abort', off)
  const opening: Opening = { name, views, seed, lock, over, finish }
  const keep = (given: Lock): Promise<Started> => {
    writing.lock = given
    // Another page has taken it, because this one did not answer.
    void given.lost.then(() => {
      finish.stop()
      over.abort()
      shut(shelf)
    })
    return open(shelf, opening).catch((error: unknown) =>
      trouble(
        shelf,
        opening,
        { spare: null, copy: null },
        `It could not be opened. ${whyFailed(error)}`,
      ),
    )
  }
  const free = await claimWriting(shelf, name)
  if (free) return keep(free)
  const followed = await follow(shelf, opening, writing)
  // It went before it told anything.
  if (followed === 'gone' && writing.lock) return keep(writing.lock)
  const taken = followed === 'silent' && take ? await takeWriting(shelf, name) : null
  return taken ? keep(taken) : (followed as Started)
}

async function open(shelf: Shelf, opening: Opening): Promise<Started> {
  const { name } = opening
  const second = await openSecond(shelf, name)
  const { spare, copy } = second
  const asked = databaseLost(databaseFor(name))
  const lost = await waitFor(shelf, 'the database', LOST_WITHIN, asked).catch(
    expected('where it is not known it is read', false),
  )
  const stores = shelf.stores(databaseFor(name))
  let kept: Kept
  try {
    kept = await waitFor(shelf, 'the database', STORE_WITHIN, findKept(stores.slots))
  } catch (error) {
    return trouble(
      shelf,
      opening,
      second,
      `Your saved shelf could not be read. ${whyFailed(error)}`,
    )
  }
  // What cannot be put aside, because nothing can be written, stays where it is.
  const aside = await setAside(stores.slots, kept.damaged, shelf.clock()).then(
    () => true,
    () => false,
  )
  const found = told(kept, aside)
  if (kept.state) {
    if (aside) await clear(stores, kept)
    // What was read in part has to be written as it is now.
    const { state, lost: left, older } = kept
    const written = left.length > 0 || kept.damaged.length > 0 || older ? null : state
    // The log of changes may be a moment ahead of the store.
    const contents =
      copy && left.length === 0
        ? await bringBackDocuments(stores.documents, null, copy.documents, kept.seq)
        : undefined
    const ahead = copy && copy.stateSeq > kept.seq && left.length === 0 ? copy : null
    // What can be undone stands on the state it was kept with; the log tells of it with each change.
    const told = ahead && (ahead.steps?.seq ?? 0) > kept.seq ? ahead.steps : null
    const list = ahead && !ahead.steps ? null : (told?.list ?? kept.steps)
    const know = (id: number, said: StepContents) => knowContents(shelf, id, said)
    const history = left.length
      ? emptyHistory
      : await readSteps(stores.slots, list, told?.made, know)
    await begin(
      shelf,
      opening,
      stores,
      spare,
      {
        ...kept,
        state: ahead?.state ?? state,
        written,
        history,
        unwritten: told?.made.keys() ?? [],
        seq: Math.max(kept.seq, copy?.top ?? 0),
        gap: copy !== null && (kept.seq > copy.seq || copy.top > copy.seq),
        stateSeq: Math.max(kept.seq, copy?.stateSeq ?? 0),
      },
      found,
      contents,
    )
  } else {
    // The mark that something was kept reaches the disk late: a copy says the same.
    const missing = kept.damaged.length > 0 || lost || marksOf(name).kept === true
    if (copy) await restore(shelf, opening, stores, spare, kept, copy, spare)
    else if (kept.damaged.length)
      return trouble(shelf, opening, second, 'All of your saved shelf is damaged.')
    else if (missing && second.failed)
      return trouble(
        shelf,
        opening,
        second,
        'The browser has lost this shelf, and the second copy can’t be opened now.',
      )
    else await anew(shelf, opening, stores, spare, kept, missing)
  }
  return 'ready'
}

/** What is kept aside goes from its place: found again at every start it would be told every time. */
async function clear({ slots }: Stores, { damaged }: Kept): Promise<void> {
  for (const { key } of damaged)
    await slots.removeItem(key).catch(logged('What is kept aside stays in its place too'))
}

/** Whether a database was lost is told at once, or not at all, in milliseconds. */
const LOST_WITHIN = 2500
/** Reading a large shelf on a slow disk may take a while; after so long it does not answer. */
const STORE_WITHIN = 30_000

const EXPORT_DAMAGED = { command: 'shelf.exportDamaged', label: 'Export it' }

/** What has to be told of how the shelf was found. */
function told({ state, damaged, cut, lost }: Kept, aside: boolean): Notice[] {
  const notices: Notice[] = []
  const kept = aside ? 'is kept aside' : 'stays where it is: nothing can be written now'
  if (state && lost.length)
    notices.push({
      id: 'in part',
      text: `Only part of the shelf could be read. Left out: ${lost.join(', ')}. What could not be read ${kept}.`,
      offers: EXPORT_DAMAGED,
    })
  else if (state && damaged.length)
    notices.push({
      id: 'damaged',
      text: `A saved copy was damaged, so the other one was loaded. The damaged copy ${kept}.`,
      offers: EXPORT_DAMAGED,
    })
  if (state && cut)
    notices.push({
      id: 'cut',
      text: 'The last change was being written when the browser stopped. Only that change is lost.',
    })
  return notices
}

/** Nothing is kept: the shelf begins with what a new one has. */
async function anew(
  shelf: Shelf,
  opening: Opening,
  stores: Stores,
  spare: Spare | null,
  { revision, slots }: Kept,
  missing: boolean,
): Promise<void> {
  const seed = await opening.seed()
  const { state } = seed
  const contents = new Map(
    Object.entries(seed.contents).map(([id, saved]) => [id, { saved, draft: null }]),
  )
  if (seed.journal)
    await keepDays(stores.journal, seed.journal).catch(logged('What happened before'))
  // Nobody looks at it at once: the start does not wait for it.
  if (seed.past) void keepStretches(stores.sessions, seed.past).catch(logged('How it stood before'))
  const fresh = { state, revision, slots, written: null }
  const notices = missing
    ? [
        {
          id: 'lost',
          text: 'The browser has lost what it kept of this shelf, and there was no second copy. It begins anew. Import a shelf file to go on from there.',
          offers: { command: 'shelf.import', label: 'Import' },
        },
      ]
    : []
  await begin(shelf, opening, stores, spare, fresh, notices, contents)
}

/**
 * The database is gone or damaged: the second copy is loaded, with word.
 * @param from where the copy is read from; it may be that of a database that is left
 */
async function restore(
  shelf: Shelf,
  opening: Opening,
  stores: Stores,
  spare: Spare | null,
  kept: Kept,
  copy: SpareCopy,
  from: Spare | null,
): Promise<void> {
  const { revision, slots } = kept
  await clear(stores, kept)
  const contents = await bringBackDocuments(stores.documents, from, copy.documents, -1)
  const { state, top: seq, steps } = copy
  const know = (id: number, said: StepContents) => knowContents(shelf, id, said)
  const history = await readSteps(stores.slots, steps?.list ?? null, steps?.made, know)
  const unwritten = [...history.past, ...history.future].map(({ id }) => id)
  const given = { state, revision, slots, written: null, seq, history, unwritten, gap: true }
  await begin(shelf, opening, stores, spare, given, [RESTORED(copy)], contents)
}

const RESTORED = ({ at, logged }: SpareCopy): Notice => ({
  id: 'restored',
  text: `The browser had lost this shelf. The second copy was loaded: written ${when(at)}, ${
    logged ? 'with what changed after that.' : 'with nothing that changed after that.'
  }`,
})

/**
 * Documents that are only in the spare copy, and what they said after a line of the log.
 * @param spare null where only what the log says is wanted
 * @returns those that could not be written to the store now
 */
async function bringBackDocuments(
  documents: KeptStore,
  spare: Spare | null,
  since: SpareCopy['documents'],
  after: number,
): Promise<Map<DocumentId, KeptContent>> {
  const left = new Map<DocumentId, KeptContent>()
  const put = (id: DocumentId, content: Stored) =>
    documents.setItem(id, content).catch(() => left.set(id, content))
  const there = new Set(
    spare ? await documents.keys().catch(logged('What is kept of documents', [])) : [],
  )
  for (const id of (await spare?.listDocuments()) ?? []) {
    const content = there.has(id) ? null : await spare?.readDocument(id)
    if (content) await put(id, content)
  }
  for (const [id, { seq, content }] of since) {
    if (seq <= after || !content) continue
    // The log may have fallen behind what was written since.
    const stored = await documents.getItem(id).catch(expected('the copy is put there', null))
    if (!isStored(stored) || (stored.seq ?? -1) < seq) await put(id, { ...content, seq })
  }
  return left
}

async function trouble(
  shelf: Shelf,
  opening: Opening,
  { spare, copy }: Second,
  why: string,
): Promise<Trouble> {
  const { name } = opening
  /** The database stays as it is, another is begun. */
  const leave = async (): Promise<[Stores, Kept, Spare | null]> => {
    leaveDatabase(name, shelf.clock())
    const stores = shelf.stores(databaseFor(name))
    return [stores, await findKept(stores.slots), (await openSecond(shelf, name)).spare]
  }
  return {
    ...unstarted(shelf, name, why),
    spareAt: copy?.at ?? null,
    openSpare: async () => {
      if (!copy) return
      const [stores, kept, fresh] = await leave()
      await restore(shelf, opening, stores, fresh, kept, copy, spare)
    },
    beginAnew: async () => {
      const [stores, kept, fresh] = await leave()
      await anew(shelf, opening, stores, fresh, kept, false)
    },
  }
}

/** What is left to do where a start failed before anything was opened. */
export const unstarted = (shelf: Shelf, name: string, why: string): Trouble => ({
  why,
  spareAt: null,
  exportThere: () => exportDatabase(shelf.stores(databaseFor(name))),
  workWithout: () => {
    provideContents(shelf, { source: NOWHERE, changed: () => {} })
    use(shelf, initialState())
    const says = 'Nothing is being saved. Export the shelf to keep it.'
    setSaving(shelf, { state: 'failed', why: says })
    setHealth(shelf, 'database', { is: 'amiss', says })
    shelf.page.setState({ ready: true })
  },
})
