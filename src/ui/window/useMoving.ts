import { useDrag } from '@use-gesture/react'
import { currentId, shownFrame, window as windowOf } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { dispatch, getState } from '@/store/shelf'
import { windowElement } from '@/ui/parts/focus'
import { Hold, markRow, rowAt } from '@/ui/rack/dropping'
import { onEscape, showInHand } from './inHand'
import { useShowing } from './showing'

/**
 * Dragging a window by its hem. The drag moves the element itself and runs one command when it
 * ends: a move on the desktop, a send on a row of the rack. Held over a row, that desktop opens
 * with the window in hand. Escape puts it back.
 */
export function useMoving(id: WindowId) {
  const showing = useShowing()
  return useDrag(
    ({ first, last, initial, xy: [x, y], canceled, cancel, memo }) => {
      const element = windowElement(id)
      if (!element) return
      // Not the gesture's own movement, which leaves out the pixels before it was sure of a drag.
      const [mx, my] = [x - initial[0], y - initial[1]]
      if (first) {
        // In hand it stays visible, whatever desktop opens meanwhile.
        showing.hold(id)
        return grasp(element, cancel)
      }
      const grip = memo as Grip | undefined
      if (!grip) return
      const row = x < grip.areaLeft ? rowAt(x, y) : null
      if (!last) {
        element.style.translate = `${mx}px ${my}px`
        markRow(row)
        grip.hold.over(row?.dataset.desktopRow)
        showInHand(row ? grip.title : null, x, y)
        return grip
      }
      grip.release()
      showing.hold(null)
      element.style.translate = ''
      if (!canceled) drop(id, row?.dataset.desktopRow, mx, my, x)
      else if (currentId(getState()) !== grip.from) dispatch('desktop.go', { to: grip.from })
    },
    { threshold: 3, pointer: { keys: false }, eventOptions: { passive: false } },
  )
}

interface Grip {
  title: string
  from: string
  hold: Hold
  /** Where the desktop begins: only left of it can there be rows. */
  areaLeft: number
  release(): void
}

function grasp(element: HTMLElement, cancel: () => void): Grip {
  const state = getState()
  const hold = new Hold((desktop) => dispatch('desktop.go', { to: desktop }))
  const stop = onEscape(cancel)
  return {
    title: element.getAttribute('aria-label') ?? '',
    from: currentId(state),
    hold,
    areaLeft: document.getElementById('desktop')?.getBoundingClientRect().left ?? 0,
    release: () => {
      stop()
      hold.over(undefined)
      markRow(null)
      showInHand(null, 0, 0)
    },
  }
}

function drop(id: WindowId, row: string | undefined, mx: number, my: number, x: number): void {
  const state = getState()
  const window = windowOf(state, id)
  const here = currentId(state)
  if (row) {
    if (row === window.desktop) return
    dispatch(row === here ? 'window.carry' : 'window.send', { window: id, to: row })
    return
  }
  const shown = shownFrame(state, window)
  const area = document.getElementById('desktop')?.getBoundingClientRect()
  // A maximised window comes off the edge at its own size, under the pointer.
  const left = window.maximised ? x - (area?.left ?? 0) - window.frame.width / 2 : shown.x + mx
  const at = { x: Math.round(left), y: Math.round(shown.y + my) }
  if (window.desktop === here || window.desktop === 'every')
    dispatch('window.move', { window: id, ...at })
  else dispatch('window.carry', { window: id, to: here, at })
}
