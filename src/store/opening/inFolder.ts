import { documentsFrom, essenceOf, standing, type Written } from '@/core/formats/followed'
import { readShelfFile, type ShelfFile } from '@/core/formats/shelfFile'
import { type FolderCopy, type Other, sumsOf } from '@/store/disk/folder'
import { wholeFile } from '@/store/documents/exporting'
import { takeOver } from '@/store/documents/importing'
import { healthOf, setHealth, whyFailed } from '@/store/health'
import { newId } from '@/store/newId'
import { notice, putAwayNotice } from '@/store/notices'
import type { Shelf } from '@/store/shelf'
import { within } from '@/store/within'
import { when } from './when'

/** The copy of the shelf in a folder of one's own: whether there is one, and how it stands. */

const NO_FOLDER = 'folder'

/** How long the browser has to say whether it may be written to a folder, in milliseconds. */
const ALLOWED_WITHIN = 4000
/** A copy in a folder that is not written by then is told, in milliseconds. */
const FOLDER_WITHIN = 20_000

/** Tells how the folder stands, when the shelf opens. */
export async function offerFolder(shelf: Shelf, folder: FolderCopy): Promise<void> {
  const is = await within(folder.open(), ALLOWED_WITHIN, 'The folder')
  if (is === 'none') {
    setHealth(shelf, 'folder', { is: 'off', says: 'No copy is kept in a folder.' })
    return putAwayNotice(shelf, NO_FOLDER)
  }
  if (is === 'ready') return putAwayNotice(shelf, NO_FOLDER)
  folderPaused(shelf, folder)
}

/** What was promised of the folder is taken back at once. */
function folderPaused(shelf: Shelf, { name }: FolderCopy): void {
  const says = `Copying to “${name}” is paused. Allow the browser to write there again.`
  setHealth(shelf, 'folder', { is: 'amiss', says })
  notice(shelf, {
    id: NO_FOLDER,
    text: says,
    offers: { command: 'shelf.keepFolder', label: 'Allow' },
  })
}

/** Writes the copy in the folder, where there is one, and tells when it cannot. */
export async function copyToFolder(shelf: Shelf, folder: FolderCopy): Promise<void> {
  if (!folder.name) return
  try {
    const file = await wholeFile(shelf)
    const writing = folder.write(file, essenceOf(file.state), shelf.clock())
    if (!(await within(writing, FOLDER_WITHIN, 'The folder'))) return folderPaused(shelf, folder)
    putAwayNotice(shelf, NO_FOLDER)
    const says = `A copy is kept in “${folder.name}”, at most half a minute behind.`
    setHealth(shelf, 'folder', { is: 'good', says, last: shelf.clock() })
  } catch (error) {
    const says = `The copy in “${folder.name}” can’t be written. ${whyFailed(error)} Retrying with the next change.`
    setHealth(shelf, 'folder', { is: 'amiss', says })
    notice(shelf, {
      id: NO_FOLDER,
      text: says,
      offers: { command: 'shelf.health', label: 'Details' },
    })
  }
}

/**
 * Chooses a folder to keep a copy in, allows one again, or ends it.
 * @param copy writes the copy
 * @returns what to say
 */
export async function keptIn(
  shelf: Shelf,
  folder: FolderCopy,
  copy: () => Promise<void>,
): Promise<{ says: string; refused?: boolean }> {
  const is = await folder.open()
  if (is === 'ready') {
    await folder.forget()
    setHealth(shelf, 'folder', { is: 'off', says: 'No copy is kept in a folder.' })
    return { says: 'No copy is kept in a folder any more; the file stays there' }
  }
  if (is === 'asks' && !(await folder.allow()))
    return { says: 'The browser isn’t allowed to write there. No copy is kept.', refused: true }
  const problem = is === 'none' ? await folder.choose() : null
  if (problem) return { says: problem, refused: true }
  putAwayNotice(shelf, NO_FOLDER)
  await copy()
  const { is: stands, says } = healthOf(shelf, 'folder') ?? {}
  if (stands === 'amiss') return { says: says ?? '', refused: true }
  return { says: `A copy is kept in the folder “${folder.name}”, at most half a minute behind` }
}

/** What another machine wrote, how it stands to what is here, and what would be taken of its documents. */
export interface News {
  other: Other
  is: ReturnType<typeof standing>
  file: ShelfFile
  /** Documents that say there what they do not say here, and those that were changed on both. */
  taken: string[]
  both: string[]
}

/** @throws when a file cannot be read */
export async function newsIn(shelf: Shelf, folder: FolderCopy): Promise<News[]> {
  const others = await folder.others()
  if (others.length === 0) return []
  const here = await wholeFile(shelf)
  const now = await folder.now(
    { essence: essenceOf(here.state), sums: sumsOf(here) },
    shelf.clock(),
  )
  return Promise.all(
    others.map(async (other) => {
      const file = readShelfFile(await (await other.handle.getFile()).text())
      return { other, file, is: standing(now, other.written), ...documentsFrom(now, other.written) }
    }),
  )
}

/**
 * Goes on from what another machine wrote. Documents changed on both are kept as they are here, and as they
 * are there beside them.
 * @param whole whether all is to be as it is there
 */
export async function goOnFrom(
  shelf: Shelf,
  folder: FolderCopy,
  { other, file, taken, both }: News,
  whole: boolean,
): Promise<void> {
  const before = await wholeFile(shelf)
  const now = await folder.now(
    { essence: essenceOf(before.state), sums: sumsOf(before) },
    shelf.clock(),
  )
  const { name } = other.written
  const given = whole ? file : withCopies(file, both, name)
  const takes = whole ? Object.keys(file.documents) : taken
  await takeOver(shelf, given, { from: name.slice(0, 80), whole }, new Set(takes))
  const after = await wholeFile(shelf)
  const is = { essence: essenceOf(after.state), sums: sumsOf(after) }
  await folder.took(other, takes, now, is, !whole)
  await copyToFolder(shelf, folder)
  putAwayNotice(shelf, NEWS)
}

/** What documents say there, as documents of their own. */
function withCopies(file: ShelfFile, both: readonly string[], name: string): ShelfFile {
  const documents = { ...file.documents }
  const known = { ...file.state.documents }
  for (const one of both) {
    const [info, content] = [known[one], documents[one]]
    if (!info || !content) continue
    const id = newId('document')
    known[id] = { ...info, id, title: `${info.title}, as on ${name}`, unsaved: false }
    documents[id] = { ...content, saved: content.draft ?? content.saved, draft: null }
  }
  return { ...file, documents, state: { ...file.state, documents: known } }
}

/** What another machine wrote is told once. */
const NEWS = 'folder news'

/** How often it is looked what others wrote, in milliseconds. */
export const LOOKED_EVERY = 10_000

/** Looks what other machines wrote, and tells it. @param told what was told before, by machine */
export async function lookAtOthers(
  shelf: Shelf,
  folder: FolderCopy,
  told: Map<string, number>,
): Promise<void> {
  const { seen } = await folder.machine()
  const isNew = ({ machine, n }: Written) =>
    n > Math.max(seen[machine] ?? 0, told.get(machine) ?? 0)
  if (!(await folder.others()).some(({ written }) => isNew(written))) return
  for (const { other, is } of await newsIn(shelf, folder)) {
    const { written } = other
    if (is === 'known' || !isNew(written)) continue
    told.set(written.machine, written.n)
    const how = is === 'ahead' ? 'You can go on from there.' : 'It was changed here too.'
    notice(shelf, {
      id: NEWS,
      text: `“${written.name}” wrote this shelf ${when(written.at)}. ${how}`,
      offers: { command: 'folder.open', label: 'Look' },
    })
  }
}
