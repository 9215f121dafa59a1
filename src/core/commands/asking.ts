import { string } from 'yup'
import { command, refused } from './command'
import { named } from './places'

/** A command that only opens the place where something about a desktop is typed or chosen. */
export const askAbout = <Id extends string>(
  view: 'rename' | 'letter' | 'look' | 'copy look' | 'quiet',
  id: Id,
  title: string,
) =>
  command({
    id,
    title,
    group: 'Desktops',
    step: false,
    args: { desktop: string() },
    plan: (draft, args) => {
      const found = named(draft, args.desktop)
      return refused(found) ? found : { show: { view, desktop: found.id } }
    },
  })
