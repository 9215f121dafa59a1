import { appCommands } from './apps/apps'
import { documentCommands } from './apps/documents'
import { exceptionCommands } from './apps/exceptions'
import { homeCommands } from './apps/homes'
import type { Command } from './command'
import { attentionCommands } from './day/attention'
import { digestCommands } from './day/digest'
import { logCommands } from './day/log'
import { planCommands } from './day/plan'
import { runCommands } from './day/runs'
import { desktopCommands } from './desktops/desktops'
import { foldCommands } from './desktops/fold'
import { folderCommands } from './desktops/folder'
import { furlCommands } from './desktops/furl'
import { goCommands } from './desktops/go'
import { gridCommands } from './desktops/grid'
import { letterCommands } from './desktops/letters'
import { copyLink } from './desktops/link'
import { lookCommands } from './desktops/look'
import { notes } from './desktops/notes'
import { patternCommands } from './desktops/patterns'
import { quietCommands } from './desktops/quiet'
import { stowCommands } from './desktops/stow'
import { acrossCommands } from './displays/across'
import { arrangementCommands } from './displays/arrangement'
import { displayCommands } from './displays/displays'
import { shownCommands } from './displays/shown'
import { importCommands } from './shelf/import'
import { keyCommands } from './shelf/keys'
import { pastCommands } from './shelf/past'
import { restoreCommands } from './shelf/restore'
import { sequenceCommands } from './shelf/sequences'
import { sessionCommands } from './shelf/sessions'
import { settingCommands } from './shelf/settings'
import { startCommands } from './shelf/start'
import { undoCommands } from './shelf/undo'
import { wayCommands } from './shelf/ways'
import { glanceCommands } from './views/glance'
import { lineCommands } from './views/line'
import { loftCommands } from './views/loft'
import { pageCommands } from './views/page'
import { trailCommands } from './views/trail'
import { unstackCommands } from './views/unstack'
import { arrangeCommands } from './windows/arrange'
import { edgeCommands } from './windows/edges'
import { pairCommands } from './windows/pair'
import { pictureCommands } from './windows/pictures'
import { placeCommands } from './windows/place'
import { sendCommands } from './windows/send'
import { soloCommands } from './windows/solo'
import { sweepCommands } from './windows/sweep'
import { tetherCommands } from './windows/tethers'
import { windowCommands } from './windows/windows'

const all = [
  ...goCommands,
  ...glanceCommands,
  ...attentionCommands,
  ...digestCommands,
  ...desktopCommands,
  ...letterCommands,
  ...furlCommands,
  notes,
  copyLink,
  ...quietCommands,
  ...lookCommands,
  ...foldCommands,
  ...folderCommands,
  ...stowCommands,
  ...patternCommands,
  ...planCommands,
  ...logCommands,
  ...pastCommands,
  ...runCommands,
  ...gridCommands,
  ...windowCommands,
  ...tetherCommands,
  ...sendCommands,
  ...placeCommands,
  ...arrangeCommands,
  ...edgeCommands,
  ...soloCommands,
  ...pairCommands,
  ...sweepCommands,
  ...appCommands,
  ...exceptionCommands,
  ...homeCommands,
  ...documentCommands,
  ...undoCommands,
  ...loftCommands,
  ...lineCommands,
  ...unstackCommands,
  ...trailCommands,
  ...pageCommands,
  ...pictureCommands,
  ...importCommands,
  ...restoreCommands,
  ...sessionCommands,
  ...settingCommands,
  ...wayCommands,
  ...keyCommands,
  ...sequenceCommands,
  ...startCommands,
  ...displayCommands,
  ...shownCommands,
  ...arrangementCommands,
  ...acrossCommands,
]

/** What commands are called. */
export type CommandId = (typeof all)[number]['id']

type ArgsOf<Id extends CommandId> = Taken<(typeof all)[number], Id>

/** What is said with a command: what it takes, which may be left out where all of it may, and more. */
export type SaidWith<Id extends CommandId, More extends unknown[] = []> =
  Record<never, never> extends ArgsOf<Id>
    ? [args?: ArgsOf<Id>, ...more: Partial<More>]
    : [args: ArgsOf<Id>, ...more: Partial<More>]

type Taken<One, Id> =
  One extends Command<infer Args, infer Own> ? (Id extends Own ? Args : never) : never

/** Every command there is: keys, menus, the key card, the console and undo are made from it. */
export const registry: ReadonlyMap<string, Command> = new Map(
  all.map((one) => [one.id, one as Command]),
)
