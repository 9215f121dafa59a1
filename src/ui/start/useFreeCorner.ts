import { type RefObject, useLayoutEffect } from 'react'
import { overlap } from '@/core/geometry/rect'
import { useArrangement, usePage } from '@/store/useShelf'

/** What is worked with: the focused window, and all that asks. */
const WORKED_WITH = '.win-focused, [role=dialog], [role=menu]'

/** The corners, the usual one first. */
const CORNERS = ['bottom right', 'bottom left', 'top right', 'top left']

/** Puts an element into the corner of the desktop where it covers least of what is worked with. */
export function useFreeCorner(sheet: RefObject<HTMLElement | null>): void {
  const state = useArrangement((now) => now)
  const view = usePage((page) => page.view)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what stands elsewhere or asks is a reason to look
  useLayoutEffect(() => {
    const own = sheet.current
    const room = own?.parentElement?.getBoundingClientRect()
    if (!own || !room) return
    const others = [...document.querySelectorAll(WORKED_WITH)]
      .filter((other) => other.checkVisibility() && !own.contains(other))
      .map((other) => other.getBoundingClientRect())
    const size = { width: own.offsetWidth, height: own.offsetHeight }
    const covers = (corner: string): number => {
      const x = corner.includes('left') ? room.left : room.right - size.width
      const y = corner.includes('top') ? room.top : room.bottom - size.height
      return others.reduce((sum, other) => sum + overlap({ x, y, ...size }, other), 0)
    }
    const covered = CORNERS.map(covers)
    own.dataset.corner = CORNERS[covered.indexOf(Math.min(...covered))]
  }, [state, view, sheet])
}
