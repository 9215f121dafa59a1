import { string } from 'yup'
import { command, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'

/** Its browser windows cost nothing, and are in nobody’s way, while one is elsewhere. */
export const furl = command({
  id: 'desktop.furl',
  title: 'Browser windows close on leaving',
  group: 'Desktops',
  args: { desktop: string() },
  plan: (draft, { desktop }) => {
    const found = named(draft, desktop)
    if (refused(found)) return found
    if (found.furls) delete found.furls
    else found.furls = true
    return {
      say: found.furls
        ? `${found.name}: browser windows close when you leave and open when you come back`
        : `${found.name}: browser windows stay open when you leave`,
    }
  },
})
