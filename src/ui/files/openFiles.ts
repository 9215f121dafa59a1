import { FileProblem, OpensIn, whyUnread } from '@/apps/contract'
import { readTextFile, saysOf } from '@/apps/encoding'
import { APPS } from '@/apps/list'
import { putContent } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'
import { type Working, work } from '@/store/working'

/** The largest file that is opened, in bytes: contents are kept in the browser's storage. */
const MOST = 50 * 1024 * 1024

/** Extensions of the files that are opened, with the dot. */
export const OPENED = [...APPS.flatMap(({ opens }) => opens), '.ics']

/** A file that was read, as what is opened of it. */
interface Ready {
  app: string
  document: string
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
  const ready: Ready[] = []
  for (const file of files) {
    try {
      const read = await work(shelf, `Reading “${file.name}”…`, (working) =>
        readFile(shelf, file, working),
      )
      if (read) ready.push(read)
    } catch (error) {
      problems.push(`“${file.name}”: ${whyUnread(error)}`)
    }
  }
  problems.push(...open(shelf, ready, on))
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

/** Opens what was read, and says what is worth knowing of one. @returns why it could not be */
function open(shelf: Shelf, ready: Ready[], on?: string): string[] {
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

/** @returns null where there is nothing to open: a calendar goes into the plan */
async function readFile(shelf: Shelf, file: File, working: Working): Promise<Ready | null> {
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
  const document = newId('document')
  putContent(shelf, document, { saved: elsewhere ? elsewhere.content : read, draft: null })
  const { encoding } = (elsewhere?.content ?? read ?? {}) as { encoding?: string }
  return {
    app: elsewhere?.app ?? app.id,
    document,
    // A file that is all extension is called by it.
    title: file.name.replace(/\.\w+$/, '').trim() || file.name,
    says: elsewhere?.says ?? (encoding && saysOf(encoding)),
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
