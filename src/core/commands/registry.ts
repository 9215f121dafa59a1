import { appCommands } from './apps'
import type { Command } from './command'
import { desktopCommands } from './desktops'
import { shelfCommands } from './shelf'
import { switchingCommands } from './switching'
import { windowCommands } from './windows'

/** Every command there is: keys, menus, the key card, the console and undo are made from it. */
export const registry: ReadonlyMap<string, Command> = new Map(
  [
    ...switchingCommands,
    ...desktopCommands,
    ...windowCommands,
    ...appCommands,
    ...shelfCommands,
  ].map((command) => [command.id, command]),
)
