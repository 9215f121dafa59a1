import { useEffect } from 'react'
import { APPS, appOf } from '@/apps/list'
import type { View } from '@/core/commands/command'
import { referenceTo } from '@/core/formats/reference'
import { desktop, title } from '@/core/model/selectors'
import { loadContent, saveDraft, shownContent } from '@/store/documents'
import { exportShelf } from '@/store/exporting'
import { closeView, getState, say } from '@/store/shelf'
import { damagedCopies } from '@/store/start'
import { chooseFiles, openFiles } from '@/ui/stage/openFiles'
import { keepsAwake, rest } from '@/ui/stage/rest'
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
    case 'export damaged': {
      const copies = await damagedCopies()
      if (!copies) return say('No saved copy was damaged. There is nothing to export.')
      download(copies, 'damaged copies.json')
      return say('Exported the damaged copies as they were found')
    }
    case 'rest':
      return putToRest(view.desktop)
    case 'save document':
      return saveDocument(view.window)
    case 'export document':
      return exportDocument(view.document)
    case 'copy reference':
      return copyReference(view.document)
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

function putToRest(id: string): void {
  const { name } = desktop(getState(), id)
  const awake = keepsAwake(id)
  if (awake) say(`${name} stays awake: ${awake}.`, { refused: true })
  else {
    rest([id])
    say(`${name} is at rest; it wakes when you go there`)
  }
}

async function exportDocument(id: string): Promise<void> {
  const known = getState().documents[id]
  const app = appOf(known?.app ?? '')
  if (!known || !app) return
  if (!app.write) {
    const can = APPS.filter(({ write }) => write).map(({ plural }) => plural)
    return say(`There is nothing to export in it. These can be: ${can.join(', ')}.`, {
      refused: true,
    })
  }
  const content = shownContent(await loadContent(id))
  download(app.write(content, known.title), `${known.title}${app.extension ?? ''}`)
  say(`Exported “${known.title}”`)
}

async function copyReference(id: string): Promise<void> {
  const known = getState().documents[id]
  if (!known) return
  try {
    await navigator.clipboard.writeText(referenceTo(known))
    say(`Copied a reference to “${known.title}”: paste it anywhere`)
  } catch {
    say('The browser does not let this page copy. Allow it for this page and try again.', {
      refused: true,
    })
  }
}
