import { useDrag } from '@use-gesture/react'
import type { DesktopId, WindowId } from '@/core/model/ids'
import { EVERY } from '@/core/model/kinds/window'
import { desktop } from '@/core/model/selectors'
import { foundAt } from '@/parts/foundAt'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { held, showInHand } from '@/ui/hand/inHand'
import { takenWith } from '@/ui/hand/marking'

/** How near the upper and lower edge the shelves scroll while something is dragged, and by what. */
const EDGE = 48
const STEP = 14

/** The shelf, or the mark that stands for it, at a point. */
const targetAt = (x: number, y: number): HTMLElement | null => foundAt('[data-shelf]', x, y)

const own = ofShelf(() => ({
  shown: null as HTMLElement | null,
}))

/** Marks where what is dragged would go, without a render. */
function mark(shelf: Shelf, target: HTMLElement | null, as: 'into' | 'before'): void {
  if (own(shelf).shown !== target) delete own(shelf).shown?.dataset.drop
  own(shelf).shown = target
  if (target) target.dataset.drop = as
}

function scrollNear(y: number): void {
  const area = document.getElementById('windows')
  const box = area?.getBoundingClientRect()
  if (!area || !box) return
  if (y < box.top + EDGE) area.scrollBy(0, -STEP)
  if (y > box.bottom - EDGE) area.scrollBy(0, STEP)
}

interface Dragged {
  as: 'into' | 'before'
  caption: string
  drop(shelf: string): void
}

/** A window, or all that are marked with it, to another shelf. */
function windowInHand(shelf: Shelf, id: WindowId): Dragged {
  const { windows, caption } = takenWith(shelf, id)
  return {
    as: 'into',
    caption,
    drop: (to) => {
      if (to === EVERY) shelf.dispatch('window.everywhere', { windows })
      else if (shelf.dispatch('window.sendAll', { windows, to }).ok)
        shelf.page.setState({ marked: [] })
    },
  }
}

/** A desktop's row to another place of the order. */
const rowInHand = (shelf: Shelf, id: DesktopId): Dragged => ({
  as: 'before',
  caption: desktop(shelf.state(), id).name,
  drop: (before) => {
    const to = shelf.state().order.indexOf(before)
    if (to >= 0 && before !== id) shelf.dispatch('desktop.reorder', { desktop: id, to })
  },
})

function inHand(shelf: Shelf, target: Element | null): Dragged | null {
  // A name that is typed is not dragged by.
  if (target instanceof HTMLInputElement) return null
  const choice = target?.closest<HTMLElement>('[data-choice]')
  const { standing, head } = choice?.dataset ?? {}
  return standing ? windowInHand(shelf, standing) : head ? rowInHand(shelf, head) : null
}

/**
 * Dragging on the shelves, by pointer and touch: one listener for all. A caption is in hand, the
 * target is marked, Escape puts everything back.
 */
export function useLoftDrag(onDragging: (dragging: boolean) => void) {
  const shelf = useShelf()
  return useDrag(
    ({ first, last, initial, xy: [x, y], canceled, cancel, memo, tap }) => {
      if (tap) return
      const dragged = first
        ? inHand(shelf, document.elementFromPoint(...initial))
        : (memo?.dragged as Dragged | undefined)
      if (!dragged) return
      if (first && dragged.as === 'into') onDragging(true)
      const putAway = () => {
        mark(shelf, null, dragged.as)
        showInHand(null, 0, 0)
        onDragging(false)
      }
      const end: () => void = memo?.end ?? held(cancel, putAway)
      const target = targetAt(x, y)
      if (!last) {
        mark(shelf, target, dragged.as)
        scrollNear(y)
        showInHand(dragged.caption, x, y)
        return { dragged, end }
      }
      end()
      if (!canceled && target?.dataset.shelf) dragged.drop(target.dataset.shelf)
    },
    {
      threshold: 5,
      filterTaps: true,
      preventScroll: true,
      pointer: { keys: false, capture: false },
    },
  )
}
