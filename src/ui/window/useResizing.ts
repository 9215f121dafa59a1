import { useDrag } from '@use-gesture/react'
import { refused } from '@/core/commands/command'
import { spansAfter } from '@/core/commands/windows/edges'
import type { Edge } from '@/core/geometry/edges'
import { HEM, limited, type Rect } from '@/core/geometry/rect'
import type { WindowId } from '@/core/model/ids'
import { shownFrame, window as windowOf } from '@/core/model/selectors'
import { windowElement } from '@/parts/focus'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { largeScale } from '@/ui/area/area'
import { held } from '@/ui/hand/inHand'
import { useShowing } from './useShowing'

export const GRIPS = ['n', 'e', 's', 'w', 'nw', 'ne', 'sw', 'se'] as const
type Grip = (typeof GRIPS)[number]

/** Resizing a window by one of its eight grips; one command when it ends. */
export function useResizing(id: WindowId) {
  const shelf = useShelf()
  const showing = useShowing()
  return useDrag(
    ({ args: [grip], first, last, movement: [mx, my], canceled, cancel, memo }) => {
      const element = windowElement(id)
      if (!element) return
      if (first) showing.loosen(true)
      const stop = first
        ? held(cancel, () => showing.loosen(false))
        : (memo as (() => void) | undefined)
      const scale = largeScale(shelf)
      const [dx, dy] = [mx / scale, my / scale]
      const frame = resized(shelf, id, grip as Grip, dx, dy)
      const { style } = element
      if (last) {
        stop?.()
        const before = shownFrame(shelf.state(), windowOf(shelf.state(), id))
        set(style, before)
        if (!canceled && (mx !== 0 || my !== 0)) end(shelf, id, grip as Grip, dx, dy, frame)
      } else set(style, frame)
      return stop
    },
    { pointer: { keys: false }, eventOptions: { passive: false } },
  )
}

const EDGE: Partial<Record<Grip, Edge>> = { n: 'top', e: 'right', s: 'bottom', w: 'left' }

/** The edge that placed windows share moves for both. */
function end(shelf: Shelf, id: WindowId, grip: Grip, dx: number, dy: number, frame: Rect): void {
  const edge = EDGE[grip]
  const by = Math.round(grip === 'e' || grip === 'w' ? dx : dy)
  const given = { window: id, edge, by }
  const window = windowOf(shelf.state(), id)
  if (edge && !refused(spansAfter(shelf.state(), window, { edge, by })))
    shelf.dispatch('window.edge', given)
  else shelf.dispatch('window.resize', { window: id, ...frame })
}

function set(style: CSSStyleDeclaration, { x, y, width, height }: Rect): void {
  style.left = `${x}px`
  style.top = `${y}px`
  style.width = `${width}px`
  style.height = `${height}px`
}

/** The frame with the edges of a grip moved; the opposite edges stay where they are. */
function resized(shelf: Shelf, id: WindowId, grip: Grip, mx: number, my: number): Rect {
  const state = shelf.state()
  const window = windowOf(state, id)
  const from = shownFrame(state, window)
  const west = grip.includes('w')
  const north = grip.includes('n')
  // The hem does not leave the desktop at the top.
  const dy = north ? Math.max(my, -from.y) : my
  const size = limited(
    {
      width: from.width + (grip.includes('e') ? mx : west ? -mx : 0),
      height: Math.max(HEM, from.height + (grip.includes('s') ? dy : north ? -dy : 0)),
    },
    window.limits,
  )
  return {
    x: west ? from.x + from.width - size.width : from.x,
    y: north ? from.y + from.height - size.height : from.y,
    ...size,
  }
}
