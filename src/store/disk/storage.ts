import localforage from 'localforage'
import { Silent, within } from '@/store/within'

/** What is asked of a store of the browser: localForage has more. */
export interface KeptStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
  removeItem(key: string): Promise<void>
  keys(): Promise<string[]>
}

/** The stores of one shelf in the browser. The demo and a person's own shelf never share them. */
export interface Stores {
  /** Snapshots, changes since, and what is kept beside them. */
  slots: KeptStore
  documents: KeptStore
  journal: KeptStore
  sessions: KeptStore
}

const databaseOf = (shelf: string): string => `kite-shelf-${shelf}`

/**
 * A database that has not answered by then will not, in milliseconds. A computer that has just begun,
 * or is very busy, may take its time.
 */
const READ_WITHIN = 15_000
const WRITTEN_WITHIN = 20_000

/** The same store, which is not waited for without a limit. */
function limited(store: KeptStore): KeptStore {
  const read = <T>(work: Promise<T>) => within(work, READ_WITHIN, 'The database')
  const write = <T>(work: Promise<T>) => within(work, WRITTEN_WITHIN, 'The database')
  return {
    getItem: (key) => read(store.getItem(key)),
    keys: () => read(store.keys()),
    setItem: (key, value) => write(store.setItem(key, value)),
    removeItem: (key) => write(store.removeItem(key)),
  }
}

const STORES = ['slots', 'documents', 'journal', 'sessions'] as const

/** What localForage makes in a database of its own beside the stores. */
const OF_LOCALFORAGE = 'local-forage-detect-blob-support'

export const openStores = (shelf: string): Stores => {
  const open = (storeName: (typeof STORES)[number]): KeptStore =>
    limited(
      localforage.createInstance({
        name: databaseOf(shelf),
        storeName,
        driver: localforage.INDEXEDDB,
      }),
    )
  return {
    slots: open('slots'),
    documents: open('documents'),
    journal: open('journal'),
    sessions: open('sessions'),
  }
}

/** How long it is waited before a read that failed is tried again, in milliseconds. */
const WAITS = [60, 240, 900]

/** Tries again a few times: a read may fail once and be well the next moment. Silence is told at once. */
export async function patiently<T>(read: () => Promise<T>, waits = WAITS): Promise<T> {
  for (const wait of waits) {
    try {
      return await read()
    } catch (error) {
      // It was waited for long enough.
      if (error instanceof Silent) throw error
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
  }
  return read()
}

/**
 * Whether the browser says that it has lost this shelf's database: it tells so only to who opens
 * it anew, so it is looked before anything else opens it. One that is lost is left so; where there
 * never was one, it is made with all its stores at once: localForage would make one after the other,
 * each a new version that all connections have to give way to.
 */
export function databaseLost(shelf: string): Promise<boolean> {
  return new Promise((resolve) => {
    const asked = indexedDB.open(databaseOf(shelf))
    let lost = false
    asked.onupgradeneeded = (event) => {
      lost = (event as { dataLoss?: string }).dataLoss === 'total'
      if (lost) asked.transaction?.abort()
      else for (const store of [...STORES, OF_LOCALFORAGE]) asked.result.createObjectStore(store)
    }
    asked.onsuccess = () => {
      asked.result.close()
      resolve(false)
    }
    asked.onerror = (event) => {
      event.preventDefault()
      resolve(lost)
    }
    asked.onblocked = () => resolve(false)
  })
}

/** Told in the Line when a store takes nothing: what is the matter and what helps. */
export function whyNotKept(error: unknown): string {
  const { name = '', message = '' } = (error ?? {}) as Partial<Error>
  if (/quota|no space|disk (is )?full|FILE_ERROR_NO_SPACE/i.test(`${name} ${message}`))
    return 'The browser’s storage is full. Export the shelf, then free some space.'
  if (/SecurityError|InvalidAccess/.test(name))
    return 'The browser doesn’t let this page store anything. Export the shelf to keep it.'
  return 'The browser’s storage doesn’t answer as it should. Retrying; export the shelf to be safe.'
}
