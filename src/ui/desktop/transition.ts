import { useLayoutEffect, useRef } from 'react'
import type { DesktopId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { useArrangement, useShelf } from '@/store/useShelf'
import { area, largeId } from '@/ui/area/area'

/** From one desktop to another in the rack: sideways in a row, up or down between rows. */
function travel({ order, columns }: State, from: DesktopId, to: DesktopId): [x: number, y: number] {
  const [a, b] = [order.indexOf(from), order.indexOf(to)]
  if (a < 0) return [0, 0]
  const rows = Math.floor(b / columns) - Math.floor(a / columns)
  // In a single line the desktops stand one below the other.
  return columns > 1 && rows === 0 ? [Math.sign(b - a), 0] : [0, Math.sign(rows)]
}

const still = () => matchMedia('(prefers-reduced-motion: reduce)').matches

/** What is drawn of the desktop one has come to: its backdrop, and its windows in the large area. */
function arrived(display: string): HTMLElement[] {
  const windows = `.slots:not(.slots-hidden) > .slot:not(.slot-hidden) > [data-display="${CSS.escape(display)}"]`
  return [...document.querySelectorAll<HTMLElement>(`#desktop .backdrop-here, ${windows}`)]
}

/**
 * Shows where one went: the desktop slides in from that side, or appears gradually. It is there
 * and takes keys at once; only what is already drawn is moved.
 */
export function useTransition(): void {
  const shelf = useShelf()
  const here = useArrangement(currentId)
  const before = useRef(here)
  useLayoutEffect(() => {
    const from = before.current
    before.current = here
    const state = shelf.state()
    const { transition, transitionTime } = state.settings
    const { loft, view } = shelf.page.getState()
    if (from === here || transition === 'none' || transitionTime === 0 || loft || view) return
    if (still()) return
    const [x, y] = travel(state, from, here)
    const { width, height } = area(shelf).getState()
    const frames =
      transition === 'slide'
        ? { transform: [`translate(${x * width}px, ${y * height}px)`, 'none'] }
        : { opacity: [0, 1] }
    const moving = arrived(largeId(state)).map((element) =>
      element.animate(frames, {
        duration: transitionTime,
        easing: 'ease-out',
        ...(transition === 'slide' && { composite: 'add' }),
      }),
    )
    // Another desktop is gone to: this one is in its place at once.
    return () => {
      for (const animation of moving) animation.cancel()
    }
  }, [here, shelf])
}
