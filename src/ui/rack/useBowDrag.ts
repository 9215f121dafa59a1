import { useDrag } from '@use-gesture/react'
import type { DesktopId, WindowId } from '@/core/model/ids'
import { currentId, title } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { Hold, markRow, placeOf, rowAt } from '@/ui/hand/dropping'
import { held, showInHand } from '@/ui/hand/inHand'
import { sendByHand } from '@/ui/hand/sendByHand'

/**
 * A bow is its window: dragged onto a row the window goes there, dragged onto the desktop one is on
 * it comes here. One listener for all; Escape puts it back.
 */
export function useBowDrag() {
  const shelf = useShelf()
  return useDrag(
    ({ first, last, tap, initial, xy: [x, y], canceled, cancel, memo }) => {
      if (tap) return
      const drag = first
        ? grasp(
            shelf,
            document.elementFromPoint(...initial)?.closest<HTMLElement>('[data-bow]'),
            cancel,
          )
        : (memo as Drag | undefined)
      if (!drag) return
      const row = rowAt(x, y)
      if (!last) {
        markRow(shelf, row)
        drag.hold.over(placeOf(row))
        showInHand(drag.title, x, y)
        return drag
      }
      drag.release()
      const { left = 0, right = 0 } =
        document.getElementById('desktop')?.getBoundingClientRect() ?? {}
      if (!canceled) drop(shelf, drag, placeOf(row), x > left && x < right)
    },
    { threshold: 5, filterTaps: true, pointer: { keys: false } },
  )
}

interface Drag {
  /** Where one was when it was taken. */
  from: DesktopId
  window: WindowId
  title: string
  hold: Hold
  release(): void
}

function grasp(
  shelf: Shelf,
  bow: HTMLElement | null | undefined,
  cancel: () => void,
): Drag | undefined {
  const window = shelf.state().windows[bow?.dataset.bow ?? '']
  if (!window) return
  const hold = new Hold((desktop) => shelf.dispatch('desktop.go', { to: desktop }))
  const release = held(cancel, () => {
    hold.over(undefined)
    markRow(shelf, null)
    showInHand(null, 0, 0)
  })
  const state = shelf.state()
  return { from: currentId(state), window: window.id, title: title(state, window), hold, release }
}

function drop(
  shelf: Shelf,
  { window: id, from }: Drag,
  row: string | undefined,
  onDesktop: boolean,
): void {
  const state = shelf.state()
  const here = currentId(state)
  const to = row ?? (onDesktop ? here : undefined)
  const lives = state.windows[id]?.desktop
  if (!to || !lives || lives === to) return
  sendByHand(shelf, id, to, { from })
}
