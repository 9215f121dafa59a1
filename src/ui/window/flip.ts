import { refused } from '@/core/commands/command'
import { resolvePlace } from '@/core/commands/places'
import type { Direction } from '@/core/geometry/direction'
import type { Rect } from '@/core/geometry/rect'
import { besideDisplay } from '@/core/model/displays'
import { desktop } from '@/core/model/selectors'
import type { Shelf } from '@/store/shelf'
import { showFlip } from './guides'

/** How near to an edge the pointer is held, and how thick the bar along it is, in CSS pixels. */
const NEAR = 6
const BAR = 22

const PLACES: Record<Direction, string> = {
  left: 'previous',
  right: 'next',
  up: 'above',
  down: 'below',
}

/**
 * A window held against an edge of the desktop: after a while the desktop beside comes, or where a
 * display lies beyond, the window goes there when it is let go. A bar grows along the edge meanwhile.
 */
export class Flip {
  private edge: Direction | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  /** Where the window goes over to another display, if it is let go now. */
  crosses: Direction | null = null

  constructor(private shelf: Shelf) {}

  /**
   * @param x where the pointer is on the desktop, as `y`, in CSS pixels
   * @param area the large area, without what stands beside it
   */
  over(x: number, y: number, area: Rect): void {
    const edge = edgeAt(x, y, area)
    if (edge === this.edge) return
    this.stop()
    this.edge = edge
    if (edge) this.begin(edge, area)
  }

  stop(): void {
    clearTimeout(this.timer)
    this.edge = null
    this.crosses = null
    showFlip(null, 0, '')
  }

  private begin(edge: Direction, area: Rect): void {
    const state = this.shelf.state()
    const time = state.settings.flip
    const leads = beyond(this.shelf, edge)
    if (!leads || time === 0) return
    showFlip(bar(edge, area), time, leads.says)
    this.timer = setTimeout(() => {
      if (leads.display) {
        this.crosses = edge
        return
      }
      showFlip(null, 0, '')
      this.shelf.dispatch('desktop.go', { to: PLACES[edge] })
      // Held on, it goes on.
      if (this.edge === edge) this.begin(edge, area)
    }, time)
  }
}

function edgeAt(x: number, y: number, { width, height }: Rect): Direction | null {
  if (x < 0 || x > width || y < 0 || y > height) return null
  if (x <= NEAR) return 'left'
  if (x >= width - NEAR) return 'right'
  if (y <= NEAR) return 'up'
  return y >= height - NEAR ? 'down' : null
}

/** What lies beyond an edge: a display, else a desktop; null where nothing does. */
function beyond(shelf: Shelf, edge: Direction): { says: string; display: boolean } | null {
  const state = shelf.state()
  const here = state.displays[state.display]
  const display = here && besideDisplay(state, here, edge)
  if (display) return { says: display.name, display: true }
  if (state.columns === 1 && (edge === 'up' || edge === 'down')) return null
  const to = resolvePlace(state, PLACES[edge])
  return refused(to) ? null : { says: desktop(state, to).name, display: false }
}

function bar(edge: Direction, area: Rect): Rect {
  const { x, y, width, height } = area
  if (edge === 'left') return { x, y, width: BAR, height }
  if (edge === 'right') return { x: x + width - BAR, y, width: BAR, height }
  return { x, y: edge === 'up' ? y : y + height - BAR, width, height: BAR }
}
