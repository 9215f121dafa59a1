import type { FolderCopy } from '@/store/disk/folder'
import { exportText } from '@/store/documents/exporting'
import { healthOf, setHealth, whyFailed } from '@/store/health'
import { notice, putAwayNotice } from '@/store/notices'
import type { Shelf } from '@/store/shelf'
import { within } from '@/store/within'

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
    const writing = folder.write(await exportText(shelf))
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
