import { standsOn } from '@/core/model/displays'
import type { WindowId } from '@/core/model/ids'
import { isVisible } from '@/core/model/selectors'
import { type PageState, placeIn } from '@/store/page'
import type { Shelf } from '@/store/shelf'
import { largeId, surfaces } from '@/ui/area/area'

/** Whether a window is drawn: as a miniature while windows are laid out to be seen, else in its place. */
export function isShown(shelf: Shelf, page: PageState, id: WindowId): boolean {
  const {
    session: { state },
    places,
    loft,
  } = page
  const window = state.windows[id]
  if (!window) return false
  if (placeIn(page, id)) return true
  if (!isVisible(state, window) || isAway(page, id)) return false
  const on = standsOn(state, window)
  // What is laid out takes the large area; the column stays, but in the loft.
  return on === largeId(state) ? !places : !loft && on in surfaces(shelf, state)
}

/** Whether its desktop is at rest. */
export const isResting = ({ session: { state }, resting }: PageState, id: WindowId): boolean =>
  resting.length > 0 && resting.includes(state.windows[id]?.desktop ?? '')

/** Whether it is drawn in another browser window only; what is mirrored is drawn in both. */
export const isAway = ({ session: { state }, elsewhere }: PageState, id: WindowId): boolean => {
  const window = elsewhere.length > 0 ? state.windows[id] : undefined
  const on = window && standsOn(state, window)
  return on !== undefined && on !== state.display && elsewhere.includes(on)
}
