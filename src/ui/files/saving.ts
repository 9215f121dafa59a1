import { asContent } from '@/apps/contents'
import { readTextFile } from '@/apps/encoding'
import { appOf } from '@/apps/list'
import type { DocumentId } from '@/core/model/ids'
import { fileName } from '@/parts/download'
import { allowed, handleOf, isLeft, pickers, replaceFile, whyNoFile } from '@/store/disk/handles'
import { keptContent, loadContent, saveDraft } from '@/store/documents/documents'
import { placeInFolder } from '@/store/documents/folders'
import {
  allLinked,
  documentIn,
  factsOfFile,
  link,
  linkedTo,
  setStands,
  settle,
  sumOf,
  sumOfBytes,
  unlink,
  willSay,
} from '@/store/documents/linked'
import { expected, logged } from '@/store/faults'
import { putAwayNotice } from '@/store/notices'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/** What is saved in the shelf stays, whatever becomes of the file. */
const KEPT_HERE = 'It is saved in the shelf.'

/** A document as its file says it, with what it has saved; null where its app writes none. */
export async function asFile(
  shelf: Shelf,
  id: DocumentId,
): Promise<{ bytes: Blob; saved: unknown } | null> {
  const { app: name = '', title = '' } = shelf.state().documents[id] ?? {}
  const app = appOf(shelf, name)
  if (!app?.write) return null
  // In one moment: what is saved while it is written is not in it.
  const { saved } = await loadContent(shelf, id)
  return { bytes: app.write(app.contents && asContent(app.contents, saved), title), saved }
}

/** Puts what a document has saved into a file, which is its file from then on. @returns whether it was written */
async function putInto(
  shelf: Shelf,
  id: DocumentId,
  handle: FileSystemFileHandle,
): Promise<boolean> {
  const made = await asFile(shelf, id)
  const written = made && (await replaceFile(handle, made.bytes))
  if (!written) return false
  await link(shelf, id, written, handle, await textOf(made.bytes), made.saved)
  return true
}

/** What a file says, where it is text. */
export const textOf = (file: Blob): Promise<string | null> =>
  readTextFile(file).then(({ text }) => text, expected('it is no text, and is not merged', null))

/** A document that was opened from a file is kept in it from now on. */
export async function keepInItsFile(shelf: Shelf, id: DocumentId, file: File): Promise<void> {
  const handle = await handleOf(file)
  // A pack is taken apart when it is opened: what it was is not written back.
  if (!handle || /\.zip$/i.test(file.name)) return
  const saved = keptContent(shelf, id)?.saved
  await link(shelf, id, file, handle, await textOf(file), saved).catch(
    logged('Which file it came from'),
  )
}

/** Saves a document: in the shelf, and in its file where it has one. */
export async function saveDocument(shelf: Shelf, id: DocumentId): Promise<void> {
  const { title = '', unsaved = false } = shelf.state().documents[id] ?? {}
  saveDraft(shelf, id)
  const stands = factsOfFile(shelf, id)?.stands
  if (!stands && (await saveInFolder(shelf, id))) return
  if (!stands) return shelf.say(unsaved ? `Saved “${title}”` : `“${title}” has no changes to save`)
  if (stands === 'changed') {
    shelf.dispatchAny('document.compareFile', { document: id })
    return
  }
  await writeBack(shelf, id)
}

/** What has no file yet is saved in the folder of the desktop it is on. @returns whether there is one */
async function saveInFolder(shelf: Shelf, id: DocumentId): Promise<boolean> {
  const { windows, documents } = shelf.state()
  const known = documents[id]
  const app = appOf(shelf, known?.app ?? '')
  const on = Object.values(windows).find(({ document }) => document === id)?.desktop
  if (!known || !on || !app?.write || !app.drafts) return false
  try {
    const { saved } = await loadContent(shelf, id)
    const extension = app.extension?.(app.contents && asContent(app.contents, saved)) ?? ''
    const handle = await placeInFolder(shelf, on, fileName(`${known.title}${extension}`))
    if (!handle || !(await putInto(shelf, id, handle))) return false
    shelf.say(`Saved in “${handle.name}”, in the folder of this desktop`)
    return true
  } catch (error) {
    shelf.say(`Not written into the folder. ${whyNoFile(error)} ${KEPT_HERE}`, { refused: true })
    return true
  }
}

/** What is being written into the file of a document: the next waits for it. */
const writing = ofShelf(() => new Map<DocumentId, Promise<void>>())

/**
 * Writes what is saved into the file of a document.
 * @param over whatever the file says now
 */
export function writeBack(shelf: Shelf, id: DocumentId, over = false): Promise<void> {
  const before = writing(shelf).get(id) ?? Promise.resolve()
  const done = before.then(() => writeNow(shelf, id, over))
  writing(shelf).set(id, done)
  return done
}

async function writeNow(shelf: Shelf, id: DocumentId, over: boolean): Promise<void> {
  const linked = linkedTo(shelf, id)
  if (!linked) return
  const { handle } = linked
  const name = `“${handle.name}”`
  try {
    if (!(await allowed(handle, 'readwrite', true))) {
      setStands(shelf, id, 'asks')
      const says = `The browser isn’t allowed to write ${name}. ${KEPT_HERE} Save again to be asked.`
      return shelf.say(says, { refused: true })
    }
    const now = await handle.getFile()
    const same = sumOf(keptContent(shelf, id)?.saved) === linked.saved
    const isOther = (file: File, than: { modified: number; size: number }) =>
      file.lastModified !== than.modified || file.size !== than.size
    const other = isOther(now, linked)
    if (same && !other && !over) {
      setStands(shelf, id, 'same')
      return shelf.say(`${name} is up to date`)
    }
    const made = await asFile(shelf, id)
    if (!made) return
    const known = [linked.sum, linked.pending]
    const changed = other && !known.includes(sumOfBytes(await now.arrayBuffer()))
    let written: File | null = null
    if (!changed || over) {
      await willSay(shelf, id, sumOfBytes(await made.bytes.arrayBuffer()))
      const seen = { modified: now.lastModified, size: now.size }
      written = await replaceFile(handle, made.bytes, (there) => isOther(there, seen))
    }
    if (!written) {
      setStands(shelf, id, 'changed')
      shelf.dispatchAny('document.compareFile', { document: id })
      return
    }
    await link(shelf, id, written, handle, await textOf(made.bytes), made.saved)
    putAwayNotice(shelf, noticeOf(id))
    shelf.say(`Saved in ${name}`)
  } catch (error) {
    setStands(shelf, id, (error as Error).name === 'NotFoundError' ? 'gone' : 'ahead')
    const says = `${name} was not written. ${whyNoFile(error)} ${KEPT_HERE}`
    shelf.say(`${says} You can save it to another file.`, { refused: true })
  }
}

/** What is told of the file of a document until it is put away. */
export const noticeOf = (id: DocumentId): string => `file ${id}`

/** Saves a document in a file that the person names, which is its file from then on. */
export async function saveToFile(shelf: Shelf, id: DocumentId): Promise<void> {
  const { showSaveFilePicker: pick } = pickers()
  const known = shelf.state().documents[id]
  const app = appOf(shelf, known?.app ?? '')
  if (!known || !app) return
  if (!app.write || !pick) {
    // Where a page writes no files it is given to the browser to keep.
    shelf.dispatchAny('document.export', { document: id })
    return
  }
  saveDraft(shelf, id)
  const { saved } = await loadContent(shelf, id)
  const extension = app.extension?.(app.contents && asContent(app.contents, saved)) ?? ''
  try {
    const handle = await pick({ suggestedName: fileName(`${known.title}${extension}`) })
    const other = allLinked(shelf).find(([one]) => one === id)
    const taken = await documentIn(shelf, handle)
    if (taken && taken !== id) {
      const { title = '' } = shelf.state().documents[taken] ?? {}
      const says = `“${handle.name}” is the file of “${title}”. Nothing was changed. Choose another.`
      return shelf.say(says, { refused: true })
    }
    if (!(await putInto(shelf, id, handle))) return
    const before = other ? `; “${other[1].handle.name}” stays as it is` : ''
    shelf.say(`Saved in “${handle.name}”, which is its file from now on${before}`)
  } catch (error) {
    const says = isLeft(error)
      ? 'No file was chosen. Nothing was changed.'
      : `Not written. ${whyNoFile(error)} ${KEPT_HERE}`
    shelf.say(says, { refused: true })
  }
}

/** The document is only in the shelf from now on. */
export async function leaveFile(shelf: Shelf, id: DocumentId): Promise<void> {
  const { name } = factsOfFile(shelf, id) ?? {}
  if (!name) return shelf.say(NO_FILE, { refused: true })
  await unlink(shelf, id)
  putAwayNotice(shelf, noticeOf(id))
  shelf.say(`Kept only in the shelf from now on; “${name}” stays as it is`)
}

export const NO_FILE = 'It has no file on this computer. Save it to one first.'

/** Asks for all files again that the browser lets nobody read or write since it was shut. */
export async function allowFiles(shelf: Shelf): Promise<void> {
  const asked = allLinked(shelf).filter(([id]) => factsOfFile(shelf, id)?.stands === 'asks')
  let denied = 0
  for (const [id, { handle }] of asked)
    if (await allowed(handle, 'readwrite', true).catch(expected('it is told as denied', false)))
      settle(shelf, id)
    else denied++
  putAwayNotice(shelf, ASKS)
  if (asked.length === 0) return shelf.say('All files are allowed already.')
  const some = denied === 1 ? '1 file is' : `${denied} files are`
  if (denied)
    return shelf.say(`${some} not allowed. What you write is saved in the shelf.`, {
      refused: true,
    })
  shelf.say(asked.length === 1 ? 'The file is allowed again' : 'The files are allowed again')
}

export const ASKS = 'files ask'
