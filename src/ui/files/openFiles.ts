import { FileProblem, OpensIn, whyUnread } from '@/apps/contract'
import { readTextFile, saysOf } from '@/apps/encoding'
import { APPS } from '@/apps/list'
import { goToDocument } from '@/apps/opening'
import type { DocumentId } from '@/core/model/ids'
import { cameFrom, handleOf, isLeft, pickers } from '@/store/disk/handles'
import { putContent } from '@/store/documents/documents'
import { documentIn } from '@/store/documents/linked'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'
import { type Working, work } from '@/store/working'
import { keepInItsFile } from './saving'

/** The largest file that is opened, in bytes: contents are kept in the browser's storage. */
const MOST = 50 * 1024 * 1024

/** Extensions of the files that are opened, with the dot. */
export const OPENED = [...APPS.flatMap(({ opens }) => opens), '.ics']

/** A file that was read, as what is opened of it. */
interface Ready {
  app: string
  content: unknown
  title: string
  /** What is worth knowing of how it was read. */
  says?: string | undefined
}

/**
 * Opens files in the apps that take them, several in one step. Those that cannot be opened are named;
 * the rest open.
 * @param on the desktop they are to be on; else homes say where
 */
export async function openFiles(shelf: Shelf, files: File[], on?: string): Promise<void> {
  const problems: string[] = []
  const ready: (Ready & { document: DocumentId; file: File })[] = []
  for (const file of files) {
    try {
      if (await isOpen(shelf, file)) continue
      const read = await work(shelf, `Reading “${file.name}”…`, (working) =>
        readFile(shelf, file, working),
      )
      if (!read) continue
      const document = newId('document')
      putContent(shelf, document, { saved: read.content, draft: null })
      ready.push({ ...read, document, file })
    } catch (error) {
      problems.push(`“${file.name}”: ${whyUnread(error)}`)
    }
  }
  const notOpened = open(shelf, ready, on)
  problems.push(...notOpened)
  if (notOpened.length === 0)
    for (const { document, file } of ready) await keepInItsFile(shelf, document, file)
  const [first] = problems
  const opened = files.length - problems.length
  if (!first) return
  const rest = opened
    ? `The other ${opened === 1 ? 'one is' : `${opened} are`} open.`
    : 'Nothing was changed.'
  shelf.say(
    `${problems.length === 1 ? 'Not opened' : `${problems.length} files were not opened`}: ${problems.join('; ')}. ${rest}`,
    {
      refused: true,
    },
  )
}

/** Goes to where a file is open already: it would be written from two documents. */
async function isOpen(shelf: Shelf, file: File): Promise<boolean> {
  const handle = await handleOf(file)
  const there = handle && (await documentIn(shelf, handle))
  return there ? goToDocument(shelf, there) : false
}

/** Opens what was read, and says what is worth knowing of one. @returns why it could not be */
function open(shelf: Shelf, ready: (Ready & { document: DocumentId })[], on?: string): string[] {
  const windows = ready.map(({ app, document, title }) => ({ app, document, title }))
  const [one, ...others] = windows
  if (!one) return []
  const outcome =
    others.length || on
      ? shelf.dispatch('window.openAll', { windows, ...(on && { on }) }, 'app')
      : shelf.dispatch('window.open', one, 'app')
  if (!outcome.ok) return windows.map(({ title }) => `“${title}”: ${outcome.reason}`)
  const says = ready.flatMap((read) => (read.says ? `“${read.title}”: ${read.says}` : []))
  if (says.length) shelf.say(`Opened ${says.join('; ')}`, { step: true })
  return []
}

/**
 * Reads a file as the app that opens it does; null where there is nothing to open: a calendar goes into
 * the plan.
 * @throws FileProblem with what is wrong with it
 */
export async function readFile(shelf: Shelf, file: File, working: Working): Promise<Ready | null> {
  const extension = /\.\w+$/.exec(file.name.toLowerCase())?.[0] ?? ''
  // A calendar is no document: its events are put into the plan.
  if (extension === '.ics') {
    const { text } = await readTextFile(file)
    shelf.dispatch('plan.import', { text, name: file.name })
    return null
  }
  const app = APPS.find(({ opens }) => opens.includes(extension))
  if (!app?.read) {
    const known = OPENED.join(' ')
    throw new FileProblem(`no app opens such files. Those that open end in ${known}`)
  }
  if (file.size > MOST) throw new FileProblem('it is larger than 50 MB')
  const read = await app.read(file, working)
  if (working.signal.aborted) throw new FileProblem('you ended it')
  const elsewhere = read instanceof OpensIn ? read : null
  const content = elsewhere ? elsewhere.content : read
  const { encoding } = (content ?? {}) as { encoding?: string }
  return {
    app: elsewhere?.app ?? app.id,
    content,
    // A file that is all extension is called by it.
    title: file.name.replace(/\.\w+$/, '').trim() || file.name,
    says: elsewhere?.says ?? (encoding && saysOf(encoding)),
  }
}

/** Asks the person for files to open; where the browser lets a page write them, they can be written back. */
export async function chooseToOpen(): Promise<File[]> {
  const { showOpenFilePicker: pick } = pickers()
  if (!pick) return chooseFiles(OPENED.join(','), true)
  try {
    const handles = await pick({ id: 'kite-shelf-files', multiple: true })
    return await Promise.all(
      handles.map(async (handle) => cameFrom(await handle.getFile(), Promise.resolve(handle))),
    )
  } catch (error) {
    if (isLeft(error)) return []
    throw error
  }
}

/** Asks the person for files of this computer. */
export function chooseFiles(accept: string, many: boolean): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    input.multiple = many
    input.onchange = () => resolve([...(input.files ?? [])])
    input.oncancel = () => resolve([])
    input.click()
  })
}
