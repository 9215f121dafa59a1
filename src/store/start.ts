import { emptyHistory } from '@/core/history/history'
import { initialState } from '@/core/model/initial'
import { currentId } from '@/core/model/selectors'
import type { AppFacts, State } from '@/core/model/types'
import { provideContents, putContent, writeContents } from './documents'
import { Journal } from './journal'
import { Keeper } from './keeper'
import { setSaving } from './saving'
import { keepSessions } from './sessions'
import { getState, onJournal, provideApps, say, shelf } from './shelf'
import { loadSlots, saveSlot } from './slots'
import { openStores, type Stores } from './storage'

/** Tells when the page is looked at, first now, and when it is left. */
function keepPresence(tell: (kind: 'here' | 'away') => void, signal: AbortSignal): void {
  tell('here')
  const changed = () => tell(document.visibilityState === 'visible' ? 'here' : 'away')
  document.addEventListener('visibilitychange', changed, { signal })
  addEventListener('pagehide', () => tell('away'), { signal })
}

/** What a shelf starts with when nothing is kept yet. */
export interface Seed {
  state: State
  contents: Record<string, unknown>
}

let stores: Stores | null = null

/** Resolves when this page may write the shelf; rejects `lost` when another page takes it over. */
function claim(name: string, steal: boolean): { held: Promise<boolean>; lost: Promise<void> } {
  let lose = () => {}
  const lost = new Promise<void>((resolve) => {
    lose = resolve
  })
  const held = new Promise<boolean>((resolve) => {
    const options = steal ? { steal } : { ifAvailable: true }
    navigator.locks
      .request(`kite-shelf-${name}`, options, (lock) => {
        resolve(lock !== null)
        return lock ? new Promise(() => {}) : undefined
      })
      .catch(lose)
  })
  return { held, lost }
}

/**
 * Loads a shelf and keeps it from then on.
 * @returns `elsewhere` when another page has this shelf open and `steal` is not given
 */
export async function start(
  name: string,
  apps: AppFacts[],
  seed: () => Promise<Seed>,
  steal = false,
): Promise<'ready' | 'elsewhere'> {
  const { held, lost } = claim(name, steal)
  if (!(await held)) return 'elsewhere'
  provideApps(apps)
  stores = openStores(name)
  const { slots, documents } = stores
  const journal = new Journal(stores.journal)
  let revision = 0
  let written: State | null = null
  const keeper = new Keeper({
    write: async () => {
      await Promise.all([writeContents(), journal.write()])
      const state = getState()
      if (state === written) return
      await saveSlot(slots, state, ++revision)
      written = state
    },
    saving: () => setSaving({ state: 'saving' }),
    saved: () => setSaving({ state: 'saved' }),
    failed: (error) => setSaving({ state: 'failed', why: whyNot(error) }),
  })
  provideContents(documents, () => keeper.soon())
  await load(name, seed, (found) => {
    revision = found.revision
    written = found.fresh ? null : found.state
  })
  await journal.open(Date.now()).catch(() => {})
  await keepSessions(stores.sessions, written, Date.now).catch(() => {})
  // Until another page takes the shelf over.
  const over = new AbortController()
  const { signal } = over
  const offJournal = onJournal((events) => journal.add(events))
  const offShelf = shelf.subscribe((now, before) => {
    if (now.session.state !== before.session.state) keeper.soon()
  })
  keepPresence((kind) => {
    journal.add([{ kind, to: currentId(getState()), at: Date.now(), by: 'app' }])
    keeper.soon()
  }, signal)
  const flush = () => void keeper.flush()
  addEventListener('pagehide', flush, { signal })
  document.addEventListener('visibilitychange', flush, { signal })
  void lost.then(() => {
    keeper.stop()
    over.abort()
    offJournal()
    offShelf()
    shelf.setState({ ready: false })
    dispatchEvent(new Event('shelf-taken-over'))
  })
  shelf.setState({ ready: true })
  return 'ready'
}

const EXPORT_DAMAGED = { command: 'shelf.exportDamaged', label: 'export it' }

/** The copies that could not be read, as they were found; null when there is none. */
export async function damagedCopies(): Promise<Blob | null> {
  const copies: Record<string, unknown> = {}
  await stores?.slots.iterate((record, key) => {
    if (key.startsWith(DAMAGED)) copies[key] = record
  })
  if (Object.keys(copies).length === 0) return null
  return new Blob([JSON.stringify(copies, null, 1)], { type: 'application/json' })
}

const DAMAGED = 'damaged-'

interface Found {
  state: State
  revision: number
  fresh: boolean
}

async function load(
  name: string,
  seed: () => Promise<Seed>,
  found: (found: Found) => void,
): Promise<void> {
  if (!stores) return
  try {
    const { state, revision, damaged } = await loadSlots(stores.slots)
    for (const { slot, record } of damaged) await stores.slots.setItem(`${DAMAGED}${slot}`, record)
    if (state) {
      use(state)
      found({ state, revision, fresh: false })
      if (damaged.length)
        say(
          'A saved copy was damaged. The other, a moment older, was loaded; nothing else is lost.',
          { offers: EXPORT_DAMAGED },
        )
      return
    }
    const fresh = await seed()
    for (const [id, content] of Object.entries(fresh.contents))
      putContent(id, { saved: content, draft: null })
    use(fresh.state)
    found({ state: fresh.state, revision, fresh: true })
    if (damaged.length)
      say(`The saved shelf “${name}” was damaged and could not be read. It is kept.`, {
        refused: true,
        offers: EXPORT_DAMAGED,
      })
  } catch (error) {
    use(initialState())
    setSaving({ state: 'failed', why: whyNot(error) })
  }
}

const use = (state: State): void => shelf.setState({ session: { state, history: emptyHistory } })

const whyNot = (error: unknown): string =>
  error instanceof DOMException && error.name === 'QuotaExceededError'
    ? 'The browser’s storage is full. Export the shelf, then free some space.'
    : 'The browser does not let this page store anything. Export the shelf to keep it.'
