import { useEffect } from 'react'
import { APPS, appOf } from '@/apps/list'
import type { View } from '@/core/commands/command'
import { title } from '@/core/model/selectors'
import { loadContent, saveDraft, shownContent } from '@/store/documents'
import { exportShelf } from '@/store/exporting'
import { closeView, getState, say } from '@/store/shelf'
import { chooseFiles, openFiles } from '@/ui/stage/openFiles'
import { download } from './download'

/** Views with nothing to look at: they are done at once. */
export function Errands({ view }: { view: View }) {
  useEffect(() => {
    closeView()
    void run(view)
  }, [view])
  return null
}

async function run(view: View): Promise<void> {
  switch (view.view) {
    case 'open file':
      return openFiles(await chooseFiles(APPS.flatMap(({ opens }) => opens).join(','), true))
    case 'export shelf': {
      download(await exportShelf(), `shelf-${new Date().toISOString().slice(0, 10)}.kite.json`)
      return say('Exported the shelf file')
    }
    case 'save document':
      return saveDocument(view.window)
    case 'export document':
      return exportDocument(view.window)
  }
}

function saveDocument(id: string): void {
  const state = getState()
  const window = state.windows[id]
  if (!window) return
  const name = title(state, window)
  const { unsaved } = state.documents[window.document] ?? {}
  saveDraft(window.document)
  say(unsaved ? `Saved “${name}”` : `“${name}” has no changes to save`)
}

async function exportDocument(id: string): Promise<void> {
  const state = getState()
  const window = state.windows[id]
  const app = window && appOf(window.app)
  if (!window || !app) return
  const name = title(state, window)
  if (!app.write)
    return say(`A ${app.name.toLowerCase()} has nothing to export. Documents and tables have.`, {
      refused: true,
    })
  const content = shownContent(await loadContent(window.document))
  download(app.write(content, name), `${name}${app.extension ?? ''}`)
  say(`Exported “${name}”`)
}
