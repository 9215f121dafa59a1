import { emptyHistory, sameToUndo } from '@/core/history/history'
import { initialState } from '@/core/model/initial'
import type { State } from '@/core/model/types'
import { databaseFor, exportDatabase, leaveDatabase, marksOf, setAside } from './aside'
import { followWaits } from './attention'
import { begin, type Opening as Locked, shut, use } from './begin'
import { NOWHERE, provideContents } from './documents'
import { follow, giveWay, pageFor, type Seat, type Writing } from './following'
import { followTravel } from './importing'
import { findKept, type Kept } from './keeping'
import { claim, claimWriting, type Lock } from './lock'
import type { Notice } from './notices'
import { onReport } from './reports'
import { setSaving } from './saving'
import type { Shelf } from './shelf'
import { Spare, type SpareCopy } from './spare'
import { readSteps } from './steps'
import { databaseLost, type KeptStore, type Stores } from './storage'
import { Views } from './views'

/** What a shelf starts with when nothing is kept yet. */
export interface Seed {
  state: State
  contents: Record<string, unknown>
}

/** The shelf could not be read. Nothing is written until the person has chosen what to do. */
export interface Trouble {
  why: string
  /** When the spare copy is of, in milliseconds since 1970; null where there is none. */
  spareAt: number | null
  openSpare(): Promise<void>
  exportThere(): Promise<Blob>
  beginAnew(): Promise<void>
  /** An empty shelf of which nothing is kept. */
  workWithout(): void
}

export type Started = 'ready' | 'elsewhere' | Trouble

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
  const finish = { write: async () => {}, giveWay: async () => {} }
  const writing: Writing = { lock: null }
  const giveUp = (held: Lock) => {
    over.abort()
    void finish.write().finally(() => {
      shut(shelf)
      writing.lock?.release()
      held.release()
    })
  }
  const lock = await claim(`${name}-${seat.display}`, take, giveUp, shelf.channel)
  if (!lock) return 'elsewhere'
  const page = pageFor(shelf, seat, () => void giveWay(shelf, opening, writing))
  const views = new Views(name, seat.display, seat.fixed, page, shelf.channel)
  over.signal.addEventListener('abort', () => views.close())
  void lock.lost.then(() => {
    writing.lock?.release()
    over.abort()
    shut(shelf)
  })
  shelf.join(views)
  followWaits(shelf)
  followTravel(shelf)
  const off = onReport(shelf, (document, given) => views.reported(document, given))
  over.signal.addEventListener('abort', off)
  const opening: Opening = { name, views, seed, lock, over, finish }
  writing.lock = await claimWriting(name)
  if (writing.lock) return open(shelf, opening)
  const followed = await follow(shelf, opening, writing)
  // It went before it told anything.
  return followed === 'gone' ? open(shelf, opening) : followed
}

async function open(shelf: Shelf, opening: Opening): Promise<Started> {
  const { name } = opening
  const spare = await Spare.open(databaseFor(name))
  const lost = await databaseLost(databaseFor(name)).catch(() => false)
  const stores = shelf.stores(databaseFor(name))
  let kept: Kept
  try {
    kept = await findKept(stores.slots)
    if (kept.damaged.length) await setAside(stores.slots, kept.damaged, shelf.clock())
  } catch (error) {
    return trouble(shelf, opening, spare, `What is kept of it could not be read. ${reason(error)}`)
  }
  const found = told(kept)
  if (kept.state) {
    await clear(stores, kept)
    // What was read in part has to be written as it is now.
    const { state, lost: left, older } = kept
    const written = left.length > 0 || kept.damaged.length > 0 || older ? null : state
    const copy = await spare?.read()
    // The log of changes may be a moment ahead of the store.
    if (copy && left.length === 0)
      await bringBackDocuments(stores.documents, null, copy.documents, kept.seq)
    const ahead = copy && copy.stateSeq > kept.seq && left.length === 0 ? copy.state : null
    // What can be undone stands on the state it was kept with, but for what is not undone at all.
    const stands = left.length === 0 && (!ahead || sameToUndo(state, ahead))
    const history = stands ? await readSteps(stores.slots, kept.steps) : emptyHistory
    await begin(
      shelf,
      opening,
      stores,
      spare,
      {
        ...kept,
        state: ahead ?? state,
        written,
        history,
        seq: Math.max(kept.seq, copy?.seq ?? 0),
        stateSeq: Math.max(kept.seq, copy?.stateSeq ?? 0),
      },
      found,
    )
  } else {
    // The mark that something was kept reaches the disk late: a copy says the same.
    const missing = kept.damaged.length > 0 || lost || marksOf(name).kept === true
    const copy = await spare?.read()
    if (copy) await restore(shelf, opening, stores, spare, kept, copy, spare)
    else if (kept.damaged.length)
      return trouble(shelf, opening, spare, 'What is kept of it is damaged, all of it.')
    else await anew(shelf, opening, stores, spare, kept, missing)
  }
  return 'ready'
}

/** What is kept aside goes from its place: found again at every start it would be told every time. */
async function clear({ slots }: Stores, { damaged }: Kept): Promise<void> {
  for (const { key } of damaged) await slots.removeItem(key)
}

const reason = (error: unknown): string =>
  error instanceof Error && error.message ? `The browser says: ${error.message.slice(0, 200)}` : ''

const EXPORT_DAMAGED = { command: 'shelf.exportDamaged', label: 'Export it' }

/** What has to be told of how the shelf was found. */
function told({ state, damaged, cut, lost }: Kept): Notice[] {
  const notices: Notice[] = []
  if (state && lost.length)
    notices.push({
      id: 'in part',
      text: `The shelf could be read only in part. Left out: ${lost.join(', ')}. What could not be read is kept aside.`,
      offers: EXPORT_DAMAGED,
    })
  else if (state && damaged.length)
    notices.push({
      id: 'damaged',
      text: 'A saved copy was damaged; what was kept beside it was loaded. The damaged copy is kept aside.',
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
  const { state, contents } = await opening.seed()
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
  await bringBackDocuments(stores.documents, from, copy.documents, -1)
  const { state, seq } = copy
  await begin(shelf, opening, stores, spare, { state, revision, slots, written: null, seq }, [
    {
      id: 'restored',
      text: `The browser had lost what it kept of this shelf. The second copy was loaded, written on ${when(copy.at)} with what changed up to the last moment.`,
    },
  ])
}

/** “26 Nov 2026, 14:05”, as it is written where the person is. */
export const when = (at: number): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short', hourCycle: 'h23' })

/**
 * Documents that are only in the spare copy, and what they said after a line of the log.
 * @param spare null where only what the log says is wanted
 */
async function bringBackDocuments(
  documents: KeptStore,
  spare: Spare | null,
  since: SpareCopy['documents'],
  after: number,
): Promise<void> {
  const there = new Set(spare ? await documents.keys().catch(() => []) : [])
  for (const id of (await spare?.listDocuments()) ?? []) {
    const content = there.has(id) ? null : await spare?.readDocument(id)
    if (content) await documents.setItem(id, content)
  }
  for (const [id, { seq, content }] of since)
    if (seq > after && content) await documents.setItem(id, content)
}

async function trouble(
  shelf: Shelf,
  opening: Opening,
  spare: Spare | null,
  why: string,
): Promise<Trouble> {
  const { name } = opening
  const copy = await spare?.read()
  /** The database stays as it is, another is begun. */
  const leave = async (): Promise<[Stores, Kept, Spare | null]> => {
    leaveDatabase(name, shelf.clock())
    const stores = shelf.stores(databaseFor(name))
    return [stores, await findKept(stores.slots), await Spare.open(databaseFor(name))]
  }
  return {
    why,
    spareAt: copy?.at ?? null,
    exportThere: () => exportDatabase(shelf.stores(databaseFor(name))),
    openSpare: async () => {
      if (!copy) return
      const [stores, kept, fresh] = await leave()
      await restore(shelf, opening, stores, fresh, kept, copy, spare)
    },
    beginAnew: async () => {
      const [stores, kept, fresh] = await leave()
      await anew(shelf, opening, stores, fresh, kept, false)
    },
    workWithout: () => {
      provideContents(shelf, { store: NOWHERE, changed: () => {} })
      use(shelf, initialState())
      setSaving(shelf, {
        state: 'failed',
        why: 'You work without keeping anything. Export the shelf to keep it.',
      })
      shelf.page.setState({ ready: true })
    },
  }
}
