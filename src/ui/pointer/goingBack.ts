import { currentId, presence } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/** The desktops as they were last visited when one began to go back through them, and how far one is. */
const walk = ofShelf(() => ({ order: [] as DesktopId[], at: 0 }))

/** Goes back through the desktops one was on, or forward to where that began; else says why not. */
export function goBack(shelf: Shelf, to: 'back' | 'forward'): void {
  const state = shelf.state()
  const mine = walk(shelf)
  const order = mine.order.filter((id) => state.desktops[id])
  const at = order.indexOf(currentId(state))
  // Whoever went elsewhere since begins anew from there.
  const goes = at >= 0 && mine.order[mine.at] === currentId(state)
  mine.order = goes ? order : presence(state).visited
  mine.at = goes ? at : 0
  const next = mine.at + (to === 'back' ? 1 : -1)
  const found = mine.order[next]
  if (found && shelf.dispatch('desktop.go', { to: found }, 'pointer').ok) mine.at = next
  else if (!found)
    shelf.say(
      to === 'back'
        ? 'There is no desktop before this one.'
        : 'You haven’t gone back: there is no desktop to go forward to.',
      { refused: true },
    )
}
