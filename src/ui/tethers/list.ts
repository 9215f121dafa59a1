import { isVisible } from '@/core/model/selectors'
import type { DocumentId, State, WindowId } from '@/core/model/types'
import type { Tether } from '@/store/tethers'

/** A tether as it stands in the line. */
export interface Shown {
  window: WindowId
  document: DocumentId
  app: string
  title: string
  /** What its app leaves; a window that was tethered by hand may leave nothing. */
  tether: Tether | undefined
}

/** How many have room in the line. */
export const ROOM = 6

/**
 * The tethers there are, in the order their windows were opened: windows that cannot be seen now and
 * were tethered, or whose app offers itself and was not told to stay away.
 */
export function shownTethers(state: State, tethers: Record<DocumentId, Tether>): Shown[] {
  return Object.values(state.windows)
    .filter((window) => {
      const wanted = state.tethered[window.id]
      if (isVisible(state, window) || wanted === false) return false
      return wanted === true || tethers[window.document]?.offered === true
    })
    .toSorted((a, b) => a.openedAt - b.openedAt || (a.id < b.id ? -1 : 1))
    .map(({ id, document, app }) => ({
      window: id,
      document,
      app,
      title: state.documents[document]?.title ?? '',
      tether: tethers[document],
    }))
}
