import { appCommands } from './apps'
import { asideCommands } from './aside'
import type { Command } from './command'
import { desktopCommands } from './desktops'
import { documentCommands } from './documents'
import { framingCommands } from './framing'
import { fullCommands } from './full'
import { gridCommands } from './grid'
import { homeCommands } from './homes'
import { sendingCommands } from './sending'
import { shelfCommands } from './shelf'
import { switchingCommands } from './switching'
import { windowCommands } from './windows'

/** Every command there is: keys, menus, the key card, the console and undo are made from it. */
export const registry: ReadonlyMap<string, Command> = new Map(
  [
    ...switchingCommands,
    ...desktopCommands,
    ...gridCommands,
    ...windowCommands,
    ...sendingCommands,
    ...framingCommands,
    ...fullCommands,
    ...asideCommands,
    ...appCommands,
    ...homeCommands,
    ...documentCommands,
    ...shelfCommands,
  ].map((command) => [command.id, command]),
)
