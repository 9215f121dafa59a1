import { acrossCommands } from './across'
import { appCommands } from './apps'
import { arrangeCommands } from './arrange'
import { arrangementCommands } from './arrangement'
import { attentionCommands } from './attention'
import type { Command } from './command'
import { desktopCommands } from './desktops'
import { displayCommands } from './displays'
import { documentCommands } from './documents'
import { edgeCommands } from './edges'
import { exceptionCommands } from './exceptions'
import { foldCommands } from './fold'
import { goCommands } from './go'
import { gridCommands } from './grid'
import { homeCommands } from './homes'
import { importCommands } from './import'
import { keyCommands } from './keys'
import { letterCommands } from './letters'
import { lookCommands } from './look'
import { patternCommands } from './patterns'
import { pictureCommands } from './pictures'
import { placeCommands } from './place'
import { planCommands } from './plan'
import { runCommands } from './runs'
import { sendCommands } from './send'
import { sequenceCommands } from './sequences'
import { sessionCommands } from './sessions'
import { settingCommands } from './settings'
import { soloCommands } from './solo'
import { startCommands } from './start'
import { stowCommands } from './stow'
import { sweepCommands } from './sweep'
import { tetherCommands } from './tethers'
import { undoCommands } from './undo'
import { viewCommands } from './views'
import { wayCommands } from './ways'
import { windowCommands } from './windows'

const all = [
  ...goCommands,
  ...attentionCommands,
  ...desktopCommands,
  ...letterCommands,
  ...lookCommands,
  ...foldCommands,
  ...stowCommands,
  ...patternCommands,
  ...planCommands,
  ...runCommands,
  ...gridCommands,
  ...windowCommands,
  ...tetherCommands,
  ...sendCommands,
  ...placeCommands,
  ...arrangeCommands,
  ...edgeCommands,
  ...soloCommands,
  ...sweepCommands,
  ...appCommands,
  ...exceptionCommands,
  ...homeCommands,
  ...documentCommands,
  ...undoCommands,
  ...viewCommands,
  ...pictureCommands,
  ...importCommands,
  ...sessionCommands,
  ...settingCommands,
  ...wayCommands,
  ...keyCommands,
  ...sequenceCommands,
  ...startCommands,
  ...displayCommands,
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
