import { appOf } from '@/apps/list'
import { keyCard } from '@/core/card/card'
import { cardAsMarkdown } from '@/core/card/markdown'
import type { Effect } from '@/core/commands/command'
import { referenceTo } from '@/core/formats/reference'
import type { DesktopId } from '@/core/model/ids'
import { copyText } from '@/parts/clipboard'
import { download } from '@/parts/download'
import { exportDesktop, exportShelf } from '@/store/documents/exporting'
import { findIn } from '@/store/finding'
import { damagedCopies, keepInFolder } from '@/store/opening/opened'
import type { Shelf } from '@/store/shelf'
import { isUnloaded } from '@/store/unloaded'
import { floatLine } from '@/ui/afloat/afloat'
import { toggleRack } from '@/ui/area/seat'
import { lowerCover } from '@/ui/cover/cover'
import { toggleFullScreen } from '@/ui/desktop/fullScreen'
import { rest } from '@/ui/desktop/rest'
import { openDisplay } from '@/ui/displays/openDisplay'
import { sayExported, shelfName } from '@/ui/files/exported'
import { askFolder, letFolderGo, makeInFolder, openFromFolder } from '@/ui/files/folder'
import { chooseToOpen, openFiles } from '@/ui/files/openFiles'
import { allowFiles, leaveFile, saveDocument, saveToFile } from '@/ui/files/saving'
import { update } from '@/ui/keeping/useUpdate'
import { linkTo } from '@/ui/page/useLink'
import { takePicture } from '@/ui/pictures/takePicture'
import { planFile } from '@/ui/plan/calendar'
import { record } from '@/ui/run/record'
import { exportSettings, importSettings } from '@/ui/settings/files'

/** Does what a command asked the page to do at once. */
export function carryOut(shelf: Shelf, effect: Effect): void {
  run(shelf, effect).catch((error: unknown) => {
    shelf.say(`That did not work; nothing was changed. ${whyNot(error)}`, { refused: true })
  })
}

function whyNot(error: unknown): string {
  if (isUnloaded(error))
    return 'What it needs could not be loaded. Try again when there is a connection.'
  return error instanceof Error ? error.message.slice(0, 200) : ''
}

async function run(shelf: Shelf, effect: Effect): Promise<void> {
  switch (effect.does) {
    case 'open file':
      return openFiles(shelf, await chooseToOpen())
    case 'full screen':
      return toggleFullScreen(shelf)
    case 'cover':
      return lowerCover(shelf)
    case 'float':
      return floatLine(shelf)
    case 'picture':
      return takePicture(shelf, effect)
    case 'open display':
      return openDisplay(shelf, effect.display)
    case 'export keys':
      return exportKeys(shelf)
    case 'export calendar':
      download(await planFile(shelf), 'plan.ics')
      return shelf.say('Exported the plan as a calendar file')
    case 'export settings':
      return exportSettings(shelf)
    case 'import settings':
      return importSettings(shelf)
    case 'export shelf':
      return exportWhole(shelf)
    case 'record run':
      return record(shelf, effect.run)
    case 'export desktop':
      return exportOne(shelf, effect.desktop)
    case 'export damaged': {
      const copies = await damagedCopies(shelf)
      if (!copies) return shelf.say('No saved copy was damaged. There is nothing to export.')
      download(copies, 'damaged copies.json')
      return shelf.say('Exported the damaged copies as they were found')
    }
    case 'keep folder': {
      const { says, refused } = await keepInFolder(shelf)
      return shelf.say(says, refused ? { refused } : {})
    }
    case 'update':
      return update(shelf)
    case 'rack':
      // A display in a window of its own has none until it is asked for.
      if ((await toggleRack(shelf)) === 'gone') return
      return walkTo('[data-row-name][aria-current]')
    case 'apps':
      return walkTo('.app-row button')
    case 'rest':
      return rest(shelf, [effect.desktop])
    case 'save document':
      return saveDocument(shelf, effect.document)
    case 'save to file':
      return saveToFile(shelf, effect.document)
    case 'leave file':
      return leaveFile(shelf, effect.document)
    case 'give folder':
      return askFolder(shelf, effect.desktop)
    case 'leave folder':
      return letFolderGo(shelf, effect.desktop)
    case 'open from folder':
      return openFromFolder(shelf, effect.desktop, effect.path)
    case 'new in folder':
      return makeInFolder(shelf, effect.desktop, effect.path)
    case 'allow files':
      return allowFiles(shelf)
    case 'find':
      return find(shelf, effect.window)
    case 'copy link':
      return copyText(
        shelf,
        linkTo(effect.to),
        `Copied a link to “${effect.name}”: open it in this browser`,
      )
    case 'copy reference':
      return copyReference(shelf, effect.document)
  }
}

function exportKeys(shelf: Shelf): void {
  const state = shelf.state()
  const card = keyCard(state, (id) => appOf(shelf, id)?.name ?? id)
  download(
    new Blob([cardAsMarkdown(card, state.settings.keys)], { type: 'text/markdown' }),
    'keys.md',
  )
  shelf.say('Exported the key card as Markdown')
}

async function exportWhole(shelf: Shelf): Promise<void> {
  const { file, missing } = await exportShelf(shelf)
  download(file, `${shelfName(shelf)}.kite.json`)
  sayExported(shelf, 'the shelf file', missing)
}

async function exportOne(shelf: Shelf, id: DesktopId): Promise<void> {
  const exported = await exportDesktop(shelf, id)
  if (!exported) return
  const { desktops, stowed } = shelf.state()
  const name = desktops[id]?.name ?? stowed.find((one) => one.id === id)?.desktop.name ?? 'desktop'
  download(exported.file, `${name}.kite.json`)
  sayExported(shelf, name, exported.missing)
}

/** From there arrows and Tab lead on. On a full screen there is no rack to walk: it is left first. */
async function walkTo(first: string): Promise<void> {
  if (document.fullscreenElement) {
    await document.exitFullscreen()
    await new Promise((drawn) => requestAnimationFrame(drawn))
  }
  document.querySelector<HTMLElement>(first)?.focus()
}

async function find(shelf: Shelf, id: string): Promise<void> {
  // The line is shut and the window has the keys by then.
  await new Promise((drawn) => requestAnimationFrame(drawn))
  if (findIn(shelf, id)) return
  const { app = '' } = shelf.state().windows[id] ?? {}
  shelf.say(
    `There is nothing to find in: ${shelf.appFacts(app)?.name ?? app} has no text of its own.`,
    {
      refused: true,
    },
  )
}

async function copyReference(shelf: Shelf, id: string): Promise<void> {
  const known = shelf.state().documents[id]
  if (!known) return
  await copyText(
    shelf,
    referenceTo(known),
    `Copied a reference to “${known.title}”: paste it anywhere`,
  )
}
