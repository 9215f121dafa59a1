import { FileProblem } from '@/apps/contract'
import { APPS } from '@/apps/list'
import { putContent } from '@/store/documents'
import { dispatch, say } from '@/store/shelf'

/** The largest file that is opened, in bytes: contents are kept in the browser's storage. */
const MOST = 50 * 1024 * 1024

/** Opens files in the apps that take them. One that cannot be opened is named; the rest open. */
export async function openFiles(files: File[]): Promise<void> {
  for (const file of files) {
    try {
      await openFile(file)
    } catch (error) {
      const why = error instanceof FileProblem ? error.message : 'it cannot be read'
      say(`“${file.name}” was not opened: ${why}. Nothing was changed.`, { refused: true })
      return
    }
  }
}

async function openFile(file: File): Promise<void> {
  const extension = /\.\w+$/.exec(file.name.toLowerCase())?.[0] ?? ''
  const app = APPS.find(({ opens }) => opens.includes(extension))
  if (!app?.read) {
    const known = APPS.flatMap(({ opens }) => opens).join(' ')
    throw new FileProblem(`no app opens such files. Those that open end in ${known}`)
  }
  if (file.size > MOST) throw new FileProblem('it is larger than 50 MB')
  const content = await app.read(file)
  const document = `document-${crypto.randomUUID()}`
  putContent(document, { saved: content, draft: null })
  const title = file.name.replace(/\.\w+$/, '')
  dispatch('window.open', { app: app.id, document, title }, 'app')
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
