import type { DesktopId } from '@/core/model/ids'
import { currentId, presence } from '@/core/model/selectors'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/** The desktops as they were last visited when one began to go back through them, and how far one is. */
const walk = ofShelf(() => ({ order: [] as DesktopId[], at: 0 }))

/** Goes back through the desktops one was on, or forward to where that began; else says why not. */
export function goBack(shelf: Shelf, to: 'back' | 'forward'): void {
  const state = shelf.state()
  const mine = walk(shelf)
  // Whoever went elsewhere since begins anew from there.
  if (mine.order[mine.at] !== currentId(state)) {
    mine.order = presence(state).visited
    mine.at = 0
  }
  const way = to === 'back' ? 1 : -1
  let next = mine.at + way
  // Those that are gone are passed over.
  while (mine.order[next] && !state.desktops[mine.order[next] ?? '']) next += way
  const found = mine.order[next]
  if (found && shelf.dispatch('desktop.go', { to: found }, 'pointer').ok) mine.at = next
  else if (!found)
    shelf.say(
      to === 'back'
        ? 'There is no desktop to go back to.'
        : 'You haven’t gone back, so there is nothing to go forward to.',
      { refused: true },
    )
}
