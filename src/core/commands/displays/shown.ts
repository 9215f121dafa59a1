import { command, no, refused } from '@/core/commands/command'
import { meantDisplay, onDisplay, otherDisplay, whichDisplay } from '@/core/commands/meantDisplay'
import { connected } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import { maybeId } from '@/core/model/shaping'
import { isOnly, leave, settle } from './displays'

const group = 'Displays' as const

/** What a display shows of others, and how large it is where it is shown in another's window. */

/** For a projector, or a screen somebody else sits at: it is no display of its own meanwhile. */
const mirror = command({
  id: 'display.mirror',
  title: 'Mirror another display',
  group,
  args: { ...whichDisplay, of: maybeId() },
  plan: onDisplay<{ display?: string; of?: string }>(
    (draft, found, { of }) => {
      const other = connected(draft).find(({ id }) => id !== found.id)
      const source = of ? draft.displays[of] : (other ?? found)
      if (!source?.connected) return no('That display isn’t plugged in, so it can’t be mirrored.')
      if (source.id === found.id)
        return no(`${found.name} can’t mirror itself. Add or plug in another display first.`)
      if (found.id === draft.displayOrder[0])
        return no(`${found.name} is the main display. Make another the main one first.`)
      if (found.mirrors === source.id)
        return no(`${found.name} is already mirroring ${source.name}.`)
      const refusal = found.connected ? isOnly(draft, found) : null
      if (refusal) return refusal
      if (found.connected) leave(draft, found)
      found.mirrors = source.id
      settle(draft)
      return { say: `${found.name} now mirrors ${source.name}, which has its windows for now` }
    },
    (state, args) => (args.display ? meantDisplay(state, args) : otherDisplay(state, args)),
  ),
})

/** Shown in a browser window that is not its own a display is small, or has the size of the room there. */
const fit = command({
  id: 'display.fit',
  title: 'Fit display to the main window',
  group,
  args: whichDisplay,
  plan: (draft, args) => {
    const here = draft.displays[draft.display]
    const found =
      args.display || here?.fitted ? meantDisplay(draft, args) : otherDisplay(draft, args)
    if (refused(found)) return found
    if (found.fitted) {
      unfit(found)
      settle(draft)
      return { say: `${found.name} is ${found.width} × ${found.height} again` }
    }
    if (found.measured)
      return no(`${found.name} is a browser window and has its size. Make that larger or smaller.`)
    found.fitted = { width: found.width, height: found.height }
    return { say: `${found.name} now fits the main window` }
  },
})

function unfit(found: Display): void {
  Object.assign(found, found.fitted)
  delete found.fitted
  delete found.measured
}

export const shownCommands = [mirror, fit]
