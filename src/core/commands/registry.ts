import { appCommands } from './apps'
import type { Command } from './command'
import { desktopCommands } from './desktops'
import { displayCommands } from './displays'
import { documentCommands } from './documents'
import { foldCommands } from './fold'
import { switchingCommands } from './go'
import { gridCommands } from './grid'
import { homeCommands } from './homes'
import { importCommands } from './import'
import { framingCommands } from './place'
import { sendingCommands } from './send'
import { sessionCommands } from './sessions'
import { settingCommands } from './settings'
import { fullCommands } from './solo'
import { asideCommands } from './sweep'
import { undoCommands } from './undo'
import { viewCommands } from './views'
import { windowCommands } from './windows'

/** Every command there is: keys, menus, the key card, the console and undo are made from it. */
export const registry: ReadonlyMap<string, Command> = new Map(
  [
    ...switchingCommands,
    ...desktopCommands,
    ...foldCommands,
    ...gridCommands,
    ...windowCommands,
    ...sendingCommands,
    ...framingCommands,
    ...fullCommands,
    ...asideCommands,
    ...appCommands,
    ...homeCommands,
    ...documentCommands,
    ...undoCommands,
    ...viewCommands,
    ...importCommands,
    ...sessionCommands,
    ...settingCommands,
    ...displayCommands,
  ].map((command) => [command.id, command]),
)
