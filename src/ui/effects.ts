import { appOf } from '@/apps/list'
import type { Effect } from '@/core/commands/command'
import { referenceTo } from '@/core/formats/reference'
import { keyCard } from '@/core/keys/card'
import { cardAsMarkdown } from '@/core/keys/markdown'
import { title } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { damagedCopies, keepInFolder } from '@/store/begin'
import { saveDraft } from '@/store/documents'
import { exportDesktop, exportShelf } from '@/store/exporting'
import { getState, say } from '@/store/shelf'
import { toggleFullScreen } from '@/ui/desktop/fullScreen'
import { rest } from '@/ui/desktop/rest'
import { toggleRack } from '@/ui/desktop/seat'
import { openDisplay } from '@/ui/displays/openDisplay'
import { chooseFiles, OPENED, openFiles } from '@/ui/documents/openFiles'
import { download } from '@/ui/parts/download'
import { takePicture } from '@/ui/pictures/takePicture'
import { planFile } from '@/ui/plan/calendar'
import { record } from '@/ui/run/record'
import { exportSettings, importSettings } from '@/ui/settings/files'

/** Does what a command asked the page to do at once. */
export function carryOut(effect: Effect): void {
  run(effect).catch((error: unknown) => {
    const why = error instanceof Error ? error.message.slice(0, 200) : ''
    say(`That did not work; nothing was changed. ${why}`, { refused: true })
  })
}

async function run(effect: Effect): Promise<void> {
  switch (effect.does) {
    case 'open file':
      return openFiles(await chooseFiles(OPENED.join(','), true))
    case 'full screen':
      return toggleFullScreen()
    case 'picture':
      return takePicture(effect)
    case 'open display':
      return openDisplay(effect.display)
    case 'export keys':
      return exportKeys()
    case 'export calendar':
      download(await planFile(getState()), 'plan.ics')
      return say('Exported the plan as a calendar file')
    case 'export settings':
      return exportSettings()
    case 'import settings':
      return importSettings()
    case 'export shelf':
      return exportWhole()
    case 'record run':
      return record(effect.run)
    case 'export desktop':
      return exportOne(effect.desktop)
    case 'export damaged': {
      const copies = await damagedCopies()
      if (!copies) return say('No saved copy was damaged. There is nothing to export.')
      download(copies, 'damaged copies.json')
      return say('Exported the damaged copies as they were found')
    }
    case 'keep folder': {
      const { says, refused } = await keepInFolder()
      return say(says, refused ? { refused } : {})
    }
    case 'rack':
      // A display in a window of its own has none until it is asked for.
      if ((await toggleRack()) === 'gone') return
      return walkTo('[data-row-name][aria-current]')
    case 'apps':
      return walkTo('.app-row button')
    case 'rest':
      return rest([effect.desktop])
    case 'save document':
      return saveDocument(effect.window)
    case 'copy reference':
      return copyReference(effect.document)
  }
}

function exportKeys(): void {
  const state = getState()
  const card = keyCard(state, (id) => appOf(id)?.name ?? id)
  download(
    new Blob([cardAsMarkdown(card, state.settings.keys)], { type: 'text/markdown' }),
    'keys.md',
  )
  say('Exported the key card as Markdown')
}

async function exportWhole(): Promise<void> {
  const { file, missing } = await exportShelf()
  download(file, `shelf-${new Date().toISOString().slice(0, 10)}.kite.json`)
  sayExported('the shelf file', missing)
}

async function exportOne(id: DesktopId): Promise<void> {
  const exported = await exportDesktop(id)
  if (!exported) return
  const { desktops, stowed } = getState()
  const name = desktops[id]?.name ?? stowed.find((one) => one.id === id)?.desktop.name ?? 'desktop'
  download(exported.file, `${name}.kite.json`)
  sayExported(name, exported.missing)
}

/** Says so when something could not be read and is not in the file. */
function sayExported(what: string, missing: string[]): void {
  if (missing.length === 0) {
    say(`Exported ${what}`)
    return
  }
  const names = missing.slice(0, 3).map((title) => `“${title}”`)
  const more = missing.length > 3 ? ` and ${missing.length - 3} more` : ''
  say(`Exported ${what} without ${names.join(', ')}${more}: what is in them cannot be read`, {
    refused: true,
  })
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

/** From there arrows and Tab lead on. On a full screen there is no rack to walk: it is left first. */
async function walkTo(first: string): Promise<void> {
  if (document.fullscreenElement) {
    await document.exitFullscreen()
    await new Promise((drawn) => requestAnimationFrame(drawn))
  }
  document.querySelector<HTMLElement>(first)?.focus()
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
