import { string } from 'yup'
import { command, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'

/** The address that leads to a desktop, from any program. */
export const copyLink = command({
  id: 'desktop.copyLink',
  title: 'Copy link to this desktop',
  group: 'Desktops',
  step: false,
  args: { desktop: string() },
  plan: (draft, { desktop }) => {
    const found = named(draft, desktop)
    if (refused(found)) return found
    return { effect: { does: 'copy link', to: found.id, name: found.name } }
  },
})
