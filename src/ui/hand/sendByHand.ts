import type { Point } from '@/core/geometry/rect'
import type { DesktopId, WindowId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'

/**
 * A window dropped on a desktop: it comes to the one that is shown, whatever its app does otherwise.
 * @param from where one was when it was taken: what was opened while it was held is gone to with it,
 * and left with it when that is taken back
 */
export function sendByHand(
  shelf: Shelf,
  window: WindowId,
  to: DesktopId,
  { from, at }: { from: DesktopId; at?: Point },
): void {
  if (to !== currentId(shelf.state())) {
    shelf.dispatch('window.send', { window, to })
    return
  }
  if (to !== from) shelf.dispatch('desktop.go', { to: from }, 'app')
  shelf.dispatch('window.carry', { window, to, anyway: true, ...(at && { at }) })
}
