import { currentId } from '@/core/model/selectors'
import type { DesktopId, WindowId } from '@/core/model/types'
import type { Shelf } from '@/store/shelf'

/** A window dropped on a desktop: it comes to the one that is shown, whatever its app does otherwise. */
export function sendByHand(shelf: Shelf, window: WindowId, to: DesktopId): void {
  if (to === currentId(shelf.state())) shelf.dispatch('window.carry', { window, to, anyway: true })
  else shelf.dispatch('window.send', { window, to })
}
