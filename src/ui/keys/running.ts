import { registry } from '@/core/commands/registry'
import type { By } from '@/core/journal/events'
import type { DesktopId, WindowId } from '@/core/model/ids'
import type { Shelf } from '@/store/shelf'

/** What a command is about where it is not said. */
export interface Subject {
  window?: WindowId | null
  /** Several, for commands that take them. */
  windows?: WindowId[]
  desktop?: DesktopId | null
}

/** Runs a command that was said by key, about what is chosen where it was said. @returns whether it was done */
export function runAbout(
  shelf: Shelf,
  command: string,
  args: object,
  subject: Subject,
  by: By = 'key',
): boolean {
  const takes = (name: string) => name in (registry.get(command)?.args.fields ?? {})
  const { window, windows = [], desktop } = subject
  const about = {
    ...(window && takes('window') && { window }),
    // What is done to one of the marked windows is done to all.
    ...(window && windows.length > 0 && takes('windows') && { windows }),
    ...(desktop && takes('desktop') && { desktop }),
  }
  return shelf.dispatchAny(command, { ...args, ...about }, by).ok
}
