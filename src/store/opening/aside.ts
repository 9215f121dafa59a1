/** What could not be read and is kept all the same: damaged records, and databases left as they were. */

import type { Damage } from '@/store/disk/keeping'
import type { KeptStore, Stores } from '@/store/disk/storage'
import { expected } from '@/store/faults'
import { jot, jottedJson } from '@/store/jotted'
import type { Shelf } from '@/store/shelf'

const DAMAGED = 'damaged-'
/** How many damaged records are kept; the first ones stay. */
const MOST = 12

/** Keeps damaged records as they were found, each time under names of their own. @throws when it cannot */
export async function setAside(store: KeptStore, damaged: Damage[], now: number): Promise<void> {
  const there = (await store.keys()).filter((key) => key.startsWith(DAMAGED)).length
  for (const [at, { key, record }] of damaged.entries())
    if (there + at < MOST) await store.setItem(`${DAMAGED}${now}-${key}`, record)
}

const place = (shelf: string): string => `kite-shelf-${shelf}`

interface Marks {
  /** Whether something was kept at all, so that nothing there means that it is lost. */
  kept?: boolean
  /** The database in use, and those that were left as they were. */
  database?: string
  left?: string[]
}

/** What is known of a shelf apart from its database. */
export function marksOf(shelf: string): Marks {
  return (jottedJson('localStorage', place(shelf)) ?? {}) as Marks
}

/** Where it cannot be noted, a lost database is taken for one that never was. */
export function setMarks(shelf: string, marks: Marks): void {
  jot('localStorage', place(shelf), JSON.stringify({ ...marksOf(shelf), ...marks }))
}

/** The name of the database in use. */
export const databaseFor = (shelf: string): string => marksOf(shelf).database ?? shelf

/** Leaves the database as it is and begins another. */
export function leaveDatabase(shelf: string, now: number): void {
  const { left = [] } = marksOf(shelf)
  setMarks(shelf, {
    kept: false,
    database: `${shelf}-${now}`,
    left: [...left, databaseFor(shelf)],
  })
}

/**
 * Removes all that is kept of a shelf that is made anew each time. Where another page has it open it is
 * left as it is: that page is asked first.
 */
export async function forgetShelf({ locks }: Pick<Shelf, 'locks'>, shelf: string): Promise<void> {
  const { held = [] } = await locks.query()
  if (held.some(({ name }) => name?.startsWith(place(shelf)))) return
  const database = place(databaseFor(shelf))
  await new Promise<void>((done) => {
    const asked = indexedDB.deleteDatabase(database)
    asked.onsuccess = asked.onerror = asked.onblocked = () => done()
  })
  await navigator.storage
    ?.getDirectory?.()
    .then((root) => root.removeEntry(database, { recursive: true }))
    .catch(expected('there is none'))
  jot('localStorage', place(shelf), null)
}

/** Everything that can be read of a store, record by record. */
async function readable(store: KeptStore): Promise<Record<string, unknown>> {
  const found: Record<string, unknown> = {}
  const keys = await store
    .keys()
    .catch(expected('the slots are tried by their names', ['slot-a', 'slot-b']))
  for (const key of keys)
    found[key] = await store
      .getItem(key)
      .catch((error: unknown) => ({ unreadable: String(error).slice(0, 200) }))
  return found
}

const asFile = (value: unknown): Blob =>
  new Blob([JSON.stringify(value, null, 1)], { type: 'application/json' })

/** What is there of a database, readable or not, as a file. */
export const exportDatabase = async (stores: Stores): Promise<Blob> =>
  asFile(await allReadable(stores))

const allReadable = async ({ slots, documents }: Stores) => ({
  slots: await readable(slots),
  documents: await readable(documents),
})

/** All that was set aside, as it was found; null when there is nothing. */
export async function exportAside(
  shelf: string,
  store: KeptStore,
  open: (database: string) => Stores,
): Promise<Blob | null> {
  const copies: Record<string, unknown> = {}
  for (const key of await store.keys())
    if (key.startsWith(DAMAGED)) copies[key] = await store.getItem(key)
  for (const database of marksOf(shelf).left ?? [])
    copies[database] = await allReadable(open(database))
  return Object.keys(copies).length ? asFile(copies) : null
}
