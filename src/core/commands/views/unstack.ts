import { boolean, string } from 'yup'
import { command, no, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import { stack } from '@/core/model/selectors'
import { whereWindows } from './showing'

export const unstackCommands = [
  command({
    id: 'unstack.open',
    title: 'Unstack: windows side by side',
    group: 'Switching',
    step: false,
    args: { app: boolean() },
    plan: (draft, { app }) => whereWindows(draft, { view: 'unstack', app: app ?? false }),
  }),
  command({
    id: 'unstack.desktop',
    title: 'Unstack the windows of a desktop',
    group: 'Switching',
    unlisted: true,
    step: false,
    args: { desktop: string() },
    plan: (draft, args) => {
      const found = named(draft, args.desktop)
      if (refused(found)) return found
      if (stack(draft, found.id).length === 0) return no('There are no windows on it.')
      return { show: { view: 'unstack', app: false, desktop: found.id } }
    },
  }),
]
