import type { DesktopId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import { fileName } from '@/parts/download'
import { allowed, cameFrom, isLeft, pickers, whyNoFile } from '@/store/disk/handles'
import {
  fileAt,
  folderBy,
  giveFolder,
  leaveFolder,
  listFolders,
  newFileIn,
} from '@/store/documents/folders'
import type { Shelf } from '@/store/shelf'
import { OPENED, openFiles } from './openFiles'

/** The name of a desktop. */
const nameOf = (shelf: Shelf, id: DesktopId): string => shelf.state().desktops[id]?.name ?? ''

const opens = (name: string): boolean => OPENED.some((one) => name.toLowerCase().endsWith(one))

/** Lists again what is in the folders of desktops. */
export const lookInFolders = (shelf: Shelf): Promise<void> => listFolders(shelf, opens)

/** A desktop gets a folder of the computer; one that it has is allowed again. */
export async function askFolder(shelf: Shelf, desktop: DesktopId): Promise<void> {
  const { showDirectoryPicker: pick } = pickers()
  const before = folderBy(shelf, desktop)
  if (!pick)
    return shelf.say('This browser lets no page into a folder. Open the files one by one.', {
      refused: true,
    })
  try {
    const again = before && !(await allowed(before, 'readwrite'))
    if (again && !(await allowed(before, 'readwrite', true)))
      return shelf.say('The browser isn’t allowed into it. Nothing was changed.', { refused: true })
    const handle = again ? before : await pick({ id: 'kite-shelf-desktop', mode: 'readwrite' })
    await giveFolder(shelf, desktop, handle)
    await lookInFolders(shelf)
    shelf.say(
      `${nameOf(shelf, desktop)} has the folder “${handle.name}”: find its files in the line`,
    )
  } catch (error) {
    const why = isLeft(error) ? 'No folder was chosen.' : whyNoFile(error)
    shelf.say(`${why} Nothing was changed.`, { refused: true })
  }
}

export async function letFolderGo(shelf: Shelf, desktop: DesktopId): Promise<void> {
  const folder = folderBy(shelf, desktop)
  if (!folder) return shelf.say(`${nameOf(shelf, desktop)} has no folder.`, { refused: true })
  await leaveFolder(shelf, desktop)
  shelf.say(`${nameOf(shelf, desktop)} has no folder any more; “${folder.name}” stays as it is`)
}

/** Opens a file of a folder on the desktop it stands by, and goes there. */
export async function openFromFolder(
  shelf: Shelf,
  desktop: DesktopId,
  path: string,
): Promise<void> {
  const handle = fileAt(shelf, desktop, path)
  try {
    if (!handle) throw new DOMException('', 'NotFoundError')
    const file = cameFrom(await handle.getFile(), Promise.resolve(handle))
    await openFiles(shelf, [file], desktop)
    if (currentId(shelf.state()) !== desktop) shelf.dispatch('desktop.go', { to: desktop })
  } catch (error) {
    shelf.say(`“${path}” was not opened. ${whyNoFile(error)}`, { refused: true })
  }
}

/** Makes an empty file in the folder of a desktop and opens it. */
export async function makeInFolder(shelf: Shelf, desktop: DesktopId, name: string): Promise<void> {
  const folder = folderBy(shelf, desktop)
  if (!folder) return
  try {
    const handle = await newFileIn(folder, fileName(name))
    const made = await handle.getFile()
    // An empty table is none yet: it begins as tables do.
    const file = /\.(csv|tsv)$/i.test(name) ? new File(['A,B,C\r\n,,\r\n'], made.name) : made
    await openFiles(shelf, [cameFrom(file, Promise.resolve(handle))], desktop)
    await lookInFolders(shelf)
  } catch (error) {
    shelf.say(`“${name}” was not made. ${whyNoFile(error)}`, { refused: true })
  }
}
