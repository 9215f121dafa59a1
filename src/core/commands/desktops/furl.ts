import { boolean, string } from 'yup'
import { command, no, refused } from '@/core/commands/command'
import { on as onWindow, quoted, which } from '@/core/commands/meant'
import { named } from '@/core/commands/places'
import { furls, isPage } from '@/core/model/selectors'

/** Its browser windows cost nothing, and are in nobody’s way, while one is elsewhere. */
const furlDesktop = command({
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

/** One window otherwise than its desktop says. */
const furlWindow = command({
  id: 'window.furl',
  title: 'Browser window closes on leaving',
  group: 'Windows',
  args: { ...which, on: boolean() },
  plan: onWindow((draft, found, { on = !furls(draft, found) }) => {
    if (!isPage(draft, found)) return no('Only web pages can be in a browser window of their own.')
    delete found.furls
    if (furls(draft, found) !== on) found.furls = on
    return {
      say: on
        ? `${quoted(draft, found)}: the browser window closes when you leave and opens when you come back`
        : `${quoted(draft, found)}: the browser window stays open when you leave`,
    }
  }),
})

export const furlCommands = [furlDesktop, furlWindow]
