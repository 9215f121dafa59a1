import { string } from 'yup'
import { command, type Effect, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import type { DesktopId } from '@/core/model/ids'

const group = 'Desktops' as const

const aboutFolder = <Id extends string>(id: Id, title: string, does: (one: DesktopId) => Effect) =>
  command({
    id,
    title,
    group,
    step: false,
    args: { desktop: string() },
    plan: (draft, { desktop }) => {
      const found = named(draft, desktop)
      return refused(found) ? found : { effect: does(found.id) }
    },
  })

const inFolder = <Id extends string>(
  id: Id,
  title: string,
  does: 'open from folder' | 'new in folder',
) =>
  command({
    id,
    title,
    group,
    unlisted: true,
    step: false,
    args: { desktop: string().required(), path: string().required().max(400) },
    plan: (draft, { desktop, path }) => {
      const found = named(draft, desktop)
      return refused(found) ? found : { effect: { does, desktop: found.id, path } }
    },
  })

/** A folder of the computer that stands by a desktop, and the files in it. */
export const folderCommands = [
  aboutFolder('desktop.folder', 'Give this desktop a folder…', (desktop) => ({
    does: 'give folder',
    desktop,
  })),
  aboutFolder('desktop.leaveFolder', 'Let this desktop’s folder go', (desktop) => ({
    does: 'leave folder',
    desktop,
  })),
  inFolder('folder.openFile', 'Open a file of a folder', 'open from folder'),
  inFolder('folder.newFile', 'Make a file in a folder', 'new in folder'),
]
