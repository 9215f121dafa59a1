import { appOf } from '@/apps/list'
import type { DocumentId } from '@/core/model/ids'
import { addDocument } from '@/store/documents/adding'
import { keptContent, loadContent, markAsKept, putContent } from '@/store/documents/documents'
import { link, linkedTo } from '@/store/documents/linked'
import { putAwayNotice } from '@/store/notices'
import type { Shelf } from '@/store/shelf'
import { work } from '@/store/working'
import { readFile } from './openFiles'
import { asFile, noticeOf, textOf, writeBack } from './saving'

/** What a document and its file say. */
export interface Compared {
  name: string
  file: File
  /** Their texts, where both are text that is not too long. */
  texts: { here: string; base: string | null; there: string; by: 'paragraphs' | 'lines' } | null
  /** Whether something is here that was never in the file. */
  aheadHere: boolean
}

/** Longer texts are taken or kept whole, in characters. */
const COMPARED_MOST = 400_000

/** @throws when the file cannot be read */
export async function compare(shelf: Shelf, id: DocumentId): Promise<Compared | null> {
  const linked = linkedTo(shelf, id)
  if (!linked) return null
  const file = await linked.handle.getFile()
  const { draft } = await loadContent(shelf, id)
  const here = await shownBytes(shelf, id)
  const [ours, theirs] = [here && (await textOf(here)), await textOf(file)]
  const texts =
    ours !== null && theirs !== null && ours.length + theirs.length < COMPARED_MOST
      ? { here: ours, base: linked.base, there: theirs, by: partsIn(file.name) }
      : null
  const was = texts && linked.base !== null ? linked.base !== ours : draft !== null
  return { name: file.name, file, texts, aheadHere: was }
}

const partsIn = (name: string): 'paragraphs' | 'lines' =>
  /\.(csv|tsv)$/i.test(name) ? 'lines' : 'paragraphs'

/** As a file would say what is on screen. */
async function shownBytes(shelf: Shelf, id: DocumentId): Promise<Blob | null> {
  const { draft } = await loadContent(shelf, id)
  const app = appOf(shelf, shelf.state().documents[id]?.app ?? '')
  if (draft !== null && app?.write) return app.write(draft, '')
  return (await asFile(shelf, id))?.bytes ?? null
}

/**
 * What the file says is in the document from now on. What was here and never in the file is a document of
 * its own.
 */
export async function takeFile(shelf: Shelf, id: DocumentId, found: Compared): Promise<void> {
  const { name, file } = found
  const { app = '', title = '' } = shelf.state().documents[id] ?? {}
  const before = keptContent(shelf, id)
  const read = await readAs(shelf, id, file)
  const linked = linkedTo(shelf, id)
  if (!read || !linked) return
  if (found.aheadHere && before)
    addDocument(shelf, { app, title: `${title}, as it was here` }, before.draft ?? before.saved)
  put(shelf, id, read)
  const saved = keptContent(shelf, id)?.saved
  await link(shelf, id, file, linked.handle, found.texts?.there ?? null, saved)
  putAwayNotice(shelf, noticeOf(id))
  const kept = found.aheadHere ? `; what was here is “${title}, as it was here” in the drawer` : ''
  shelf.say(`Took what “${name}” says${kept}`)
}

/** What is here is written over what the file says. */
export async function keepHere(shelf: Shelf, id: DocumentId): Promise<void> {
  const before = keptContent(shelf, id)
  if (before?.draft != null) putContent(shelf, id, { ...before, saved: before.draft, draft: null })
  markAsKept(shelf, id)
  await writeBack(shelf, id, true)
}

/** What was merged is in the document and in the file. */
export async function keepMerged(
  shelf: Shelf,
  id: DocumentId,
  { name, file }: Compared,
  text: string,
): Promise<void> {
  const read = await readAs(shelf, id, new File([text], name), file)
  if (!read) return
  put(shelf, id, read)
  await writeBack(shelf, id, true)
}

/** @param as what tells how it is written: its letters, its line ends */
async function readAs(shelf: Shelf, id: DocumentId, file: File, as?: File): Promise<unknown> {
  const { app = '' } = shelf.state().documents[id] ?? {}
  const read = (one: File) =>
    work(shelf, `Reading “${one.name}”…`, (working) => readFile(shelf, one, working))
  const found = await read(file)
  if (!found || found.app !== app) {
    shelf.say(
      `“${file.name}” is too much for this window now. Nothing was changed. Open it as a file of its own.`,
      { refused: true },
    )
    return null
  }
  if (!as) return found.content
  const { encoding } = ((await read(as))?.content ?? {}) as { encoding?: string }
  return { ...(found.content as object), ...(encoding && { encoding }) }
}

/** Widths, sorting and what else is only how it is looked at stay. */
function put(shelf: Shelf, id: DocumentId, content: unknown): void {
  const {
    encoding: _was,
    manner: _how,
    ...look
  } = (keptContent(shelf, id)?.saved ?? {}) as {
    encoding?: string
    manner?: object
  }
  putContent(shelf, id, { saved: { ...look, ...(content as object) }, draft: null })
  markAsKept(shelf, id)
}
