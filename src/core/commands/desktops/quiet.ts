import { array, number, string } from 'yup'
import { isQuiet } from '@/core/attention/waiting'
import { askAbout } from '@/core/commands/asking'
import { command, noTo, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'

const quiet = command({
  id: 'desktop.quiet',
  title: 'Quiet',
  group: 'Desktops',
  args: {
    desktop: string(),
    /** When it ends by itself, in milliseconds since 1970. */
    until: number(),
    /** What comes through all the same: names of apps, parts of titles or of what is said. */
    lets: array(string().trim().min(1).max(100).required()).max(20),
  },
  plan: (draft, args, { now }) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    if (args.until !== undefined && args.until <= now)
      return noTo('until', 'That time is over. Choose a later one.')
    const { lets: before = [] } = found.quiet ?? {}
    const given = args.until !== undefined || args.lets !== undefined
    if (isQuiet(found, now) && !given) {
      // What was named for it stays known for the next time.
      found.quiet = { on: false, lets: before }
      return { say: `${found.name} is not quiet any more` }
    }
    const lets = args.lets ?? before
    found.quiet = { on: true, lets, ...(args.until !== undefined && { until: args.until }) }
    const through = ['alarms', ...lets].join(', ')
    return { say: `${found.name} is quiet: only ${through} come through` }
  },
})

const askQuiet = askAbout('quiet', 'desktop.askQuiet', 'Quiet until…')

export const quietCommands = [quiet, askQuiet]
