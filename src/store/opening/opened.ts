import type { JournalEvent } from '@/core/journal/events'
import type { Stretch } from '@/core/past/past'
import type { FolderCopy } from '@/store/disk/folder'
import type { Stores } from '@/store/disk/storage'
import { exportText } from '@/store/documents/exporting'
import { logged } from '@/store/faults'
import { eventsOf, type Journal } from '@/store/journal'
import { ofShelf } from '@/store/ofShelf'
import type { Past } from '@/store/past'
import type { RestorePoints } from '@/store/restorePoints'
import type { Shelf } from '@/store/shelf'
import type { Version, Versions } from '@/store/versions'
import { exportAside } from './aside'
import type { Copies } from './copies'
import { keptIn } from './inFolder'

/** What the page that keeps the shelf has open, and what others ask of it. */

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

const own = ofShelf(() => ({ opened: null as Opened | null }))

/** What is open here; null in a view that follows another, and before. */
export const openedOf = (shelf: Shelf): Opened | null => own(shelf).opened

export const setOpened = (shelf: Shelf, opened: Opened | null): void => {
  own(shelf).opened = opened
}

/** Whether this page keeps the shelf. */
export const isWriting = (shelf: Shelf): boolean => openedOf(shelf) !== null

/** Chooses a folder to keep a copy in, allows one again, or ends it. @returns what to say */
export async function keepInFolder(shelf: Shelf): Promise<{ says: string; refused?: boolean }> {
  const opened = openedOf(shelf)
  return opened
    ? keptIn(shelf, opened.folder, () => opened.copies.now())
    : { says: 'Nothing is being saved.', refused: true }
}

/** The folder a copy is kept in; null in a view that follows another. */
export const folderOf = (shelf: Shelf): FolderCopy | null => openedOf(shelf)?.folder ?? null

/** What the journal has of the day of a moment; a view that follows another has none. */
export async function journalOf(shelf: Shelf, moment: number): Promise<JournalEvent[]> {
  const opened = openedOf(shelf)
  return opened ? eventsOf(opened.stores.journal, moment) : []
}

/** How the shelf stood in a span, as far as it is kept; null in a view that follows another. */
export async function pastOf(shelf: Shelf, from: number, until: number): Promise<Stretch[] | null> {
  const opened = openedOf(shelf)
  return opened ? opened.past.read(from, until) : null
}

/** What documents said before they changed, as far as it is kept. */
export const versionsOf = async (shelf: Shelf): Promise<Version[]> =>
  (await openedOf(shelf)?.versions.all()) ?? []

/** What a document said. @throws when it cannot be read */
export const readVersion = async (shelf: Shelf, version: Version): Promise<unknown> =>
  openedOf(shelf)?.versions.read(version) ?? null

/** Whole shelves that are kept to go back to; null in a view that follows another. */
export const restorePointsOf = (shelf: Shelf): RestorePoints | null =>
  openedOf(shelf)?.points ?? null

/** A name of a restore point is no longer, in characters. */
const NAME_MOST = 120

/**
 * Keeps the whole shelf before something that changes much of it. What follows does not hang on it: it can be
 * undone as well.
 * @param name what is about to happen
 */
export async function pointBefore(shelf: Shelf, name: string): Promise<void> {
  try {
    await restorePointsOf(shelf)?.add(name.slice(0, NAME_MOST), false, await exportText(shelf))
  } catch (error) {
    logged('A restore point')(error)
  }
}

/**
 * Strikes a span of one day from the journal, and how the shelf stood in it, for good. @returns whether this view can
 * @param from milliseconds since 1970; so is `until`
 */
export async function strike(shelf: Shelf, from: number, until: number): Promise<boolean> {
  const opened = openedOf(shelf)
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
  const opened = openedOf(shelf)
  if (!opened) return false
  await opened.journal.strikeApp(app)
  const had = await opened.past.strikeApp(app)
  for (const one of Object.values(shelf.state().documents)) if (one.app === app) had.add(one.id)
  await opened.versions.strikeAll(had)
  return true
}

/** All that was set aside, as it was found; null when there is nothing. */
export async function damagedCopies(shelf: Shelf): Promise<Blob | null> {
  const opened = openedOf(shelf)
  return opened ? exportAside(opened.name, opened.stores.slots, shelf.stores) : null
}
