import { currentId } from '@/core/model/selectors'
import type { DesktopId, WindowId } from '@/core/model/types'
import { dispatch, getState } from '@/store/shelf'

/** A window dropped on a desktop: it comes to the one that is shown, whatever its app does otherwise. */
export function sendByHand(window: WindowId, to: DesktopId): void {
  if (to === currentId(getState())) dispatch('window.carry', { window, to, anyway: true })
  else dispatch('window.send', { window, to })
}
