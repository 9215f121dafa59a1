import { useDrag } from '@use-gesture/react'
import type { WindowId } from '@/core/model/ids'
import { useShelf } from '@/store/useShelf'
import { markRow, placeOf, rowAt } from '@/ui/hand/dropping'
import { held, showInHand } from '@/ui/hand/inHand'
import { takenWith } from '@/ui/hand/marking'

interface Held {
  windows: WindowId[]
  caption: string
  end(): void
}

const windowAt = (x: number, y: number): WindowId | undefined =>
  document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-standing]')?.dataset.standing

/**
 * Windows laid out are dragged onto a row of the rack, all that are marked with the one that is held.
 * One listener for all; Escape puts them back.
 */
export function useLaidDrag() {
  const shelf = useShelf()
  return useDrag(
    ({ first, last, tap, initial, xy: [x, y], canceled, cancel, memo }) => {
      if (tap) return
      const id = first ? windowAt(...initial) : undefined
      const putAway = () => {
        markRow(shelf, null)
        showInHand(null, 0, 0)
      }
      const mine: Held | undefined = id
        ? { ...takenWith(shelf, id), end: held(cancel, putAway) }
        : memo
      if (!mine) return
      const row = rowAt(x, y)
      if (!last) {
        markRow(shelf, row)
        showInHand(mine.caption, x, y)
        return mine
      }
      mine.end()
      const to = placeOf(row)
      if (canceled || !to) return
      if (shelf.dispatch('window.sendAll', { windows: mine.windows, to }).ok)
        shelf.page.setState({ marked: [] })
    },
    { threshold: 5, filterTaps: true, pointer: { keys: false, capture: false } },
  )
}
