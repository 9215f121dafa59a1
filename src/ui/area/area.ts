import { createStore, useStore } from 'zustand'
import type { Size } from '@/core/geometry/rect'
import { largeSurface, miniatures, type Surface } from '@/core/geometry/surfaces'
import { connected, mirroredOn } from '@/core/model/displays'
import type { DisplayId } from '@/core/model/ids'
import type { Display } from '@/core/model/kinds/display'
import type { State } from '@/core/model/state'
import { isNarrow } from '@/parts/room'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { seat } from './seat'

/** Around the miniatures in the column of displays, in CSS pixels. */
const MARGIN = 12

/** The room for the display in the large area, and the width of the column beside it. */
interface Area extends Size {
  column: number
}

export const area = ofShelf(() =>
  createStore<Area>(() => ({ width: 1072, height: 764, column: 0 })),
)
export const useArea = (): Area => useStore(area(useShelf()))

/** Width of the column with several displays, in CSS pixels. */
export const COLUMN = 168

/** Whether there are displays beside the one in the large area. */
export const hasOthers = (state: State): boolean => connected(state).length > 1

/** The column needs a page wide enough for it. */
export const columnFor = (shelf: Shelf, several: boolean): number =>
  several && !isNarrow() && !seat(shelf).getState().fixed ? COLUMN : 0

/** The display drawn in the large area: the one that takes the keys. */
export const largeId = (state: State): DisplayId => state.display

/** The displays drawn as miniatures in the column. */
export const others = (state: State): Display[] =>
  connected(state).filter(({ id }) => id !== largeId(state))

/** Where each display is drawn, on the area with the windows; those that are not are left out. */
function surfacesOf(
  shelf: Shelf,
  state: State,
  { width, height, column }: Area,
): Record<DisplayId, Surface> {
  const large = state.displays[largeId(state)]
  const { display: own } = seat(shelf).getState()
  const within = {
    x: width + MARGIN,
    y: MARGIN,
    width: column - 2 * MARGIN,
    height: height - 2 * MARGIN,
  }
  return {
    ...(column > 0 && miniatures(others(state), within)),
    ...(large && {
      [large.id]: largeSurface(
        { ...large, measured: large.id === own || large.fitted !== undefined },
        { width, height },
        mirroredOn(state, own) ? Number.POSITIVE_INFINITY : 1,
      ),
    }),
  }
}

const own = ofShelf(() => ({
  memo: null as { state: State; room: Area; surfaces: Record<DisplayId, Surface> } | null,
}))

/** As `surfacesOf`, made anew only when displays or the room for them changed. */
export function surfaces(shelf: Shelf, state: State): Record<DisplayId, Surface> {
  const room = area(shelf).getState()
  const mine = own(shelf)
  const same =
    mine.memo?.room === room &&
    mine.memo.state.displays === state.displays &&
    mine.memo.state.display === state.display &&
    mine.memo.state.displayOrder === state.displayOrder
  if (!same || !mine.memo) mine.memo = { state, room, surfaces: surfacesOf(shelf, state, room) }
  return mine.memo.surfaces
}

/** The scale of the display in the large area. */
export const largeScale = (shelf: Shelf): number => {
  const state = shelf.state()
  return surfaces(shelf, state)[largeId(state)]?.scale ?? 1
}
