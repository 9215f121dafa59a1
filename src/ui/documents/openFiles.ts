import { FileProblem, OpensIn, whyUnread } from '@/apps/contract'
import { readTextFile, saysOf } from '@/apps/encoding'
import { APPS } from '@/apps/list'
import { putContent } from '@/store/documents'
import { newId } from '@/store/newId'
import type { Shelf } from '@/store/shelf'
import { type Working, work } from '@/store/working'

/** The largest file that is opened, in bytes: contents are kept in the browser's storage. */
const MOST = 50 * 1024 * 1024

/** Extensions of the files that are opened, with the dot. */
export const OPENED = [...APPS.flatMap(({ opens }) => opens), '.ics']

/** Opens files in the apps that take them. Those that cannot be opened are named; the rest open. */
export async function openFiles(shelf: Shelf, files: File[]): Promise<void> {
  const problems: string[] = []
  for (const file of files) {
    try {
      await work(shelf, `Reading “${file.name}”…`, (working) => openFile(shelf, file, working))
    } catch (error) {
      problems.push(`“${file.name}”: ${whyUnread(error)}`)
    }
  }
  const [first] = problems
  const opened = files.length - problems.length
  if (!first) {
    if (opened > 1) shelf.say(`Opened ${opened} files`)
    return
  }
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

async function openFile(shelf: Shelf, file: File, working: Working): Promise<void> {
  const extension = /\.\w+$/.exec(file.name.toLowerCase())?.[0] ?? ''
  // A calendar is no document: its events are put into the plan.
  if (extension === '.ics') {
    const { text } = await readTextFile(file)
    shelf.dispatch('plan.import', { text, name: file.name })
    return
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
  // A file that is all extension is called by it.
  const title = file.name.replace(/\.\w+$/, '').trim() || file.name
  const outcome = shelf.dispatch(
    'window.open',
    { app: elsewhere?.app ?? app.id, document, title },
    'app',
  )
  if (!outcome.ok) throw new FileProblem(outcome.reason)
  const { encoding } = (elsewhere?.content ?? read ?? {}) as { encoding?: string }
  const said = elsewhere?.says ?? (encoding && saysOf(encoding))
  if (said) shelf.say(`Opened “${title}”: ${said}`)
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
