import { string } from 'yup'
import { command, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'

/** Its browser windows cost nothing, and are in nobody’s way, while one is elsewhere. */
export const furl = command({
  id: 'desktop.furl',
  title: 'Leave no browser windows open',
  group: 'Desktops',
  args: { desktop: string() },
  plan: (draft, { desktop }) => {
    const found = named(draft, desktop)
    if (refused(found)) return found
    if (found.furls) delete found.furls
    else found.furls = true
    return {
      say: found.furls
        ? `Browser windows of ${found.name} close when you leave it, and open when you come back`
        : `Browser windows of ${found.name} stay open when you leave it`,
    }
  },
})
