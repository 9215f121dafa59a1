import { standsOn } from '@/core/model/displays'
import type { WindowId } from '@/core/model/ids'
import type { Hue } from '@/core/model/kinds/look'
import { currentId, desktop, focusId } from '@/core/model/selectors'
import { type PageState, placeIn } from '@/store/page'
import { largeId } from '@/ui/area/area'

/** Above the column, and all that stands below it. */
const ABOVE_COLUMN = 1_000_001

/** Above all other windows, below what is said of the desktop. */
export const IN_HAND = 2_147_482_000

/** What changes with every window that is gone to: not worth drawing one anew. */
export interface Marks {
  focused: boolean
  /** Of the desktop, for the window that has the focus. */
  hue: Hue | null
  z: number
}

export function marksOf(page: PageState, id: WindowId): Marks {
  const { state } = page.session
  const focused = focusId(state) === id
  const window = state.windows[id]
  const lift = window && standsOn(state, window) !== largeId(state) ? ABOVE_COLUMN : 0
  const place = placeIn(page, id)
  return {
    focused,
    hue: focused ? desktop(state, currentId(state)).hue : null,
    z: place ? (place.z ?? 1) : state.stacking.indexOf(id) + 1 + lift,
  }
}

/** What a window is drawn as, in its slot. */
export const sectionIn = (slot: HTMLElement | null | undefined): HTMLElement | null =>
  (slot?.firstElementChild as HTMLElement | null | undefined) ?? null

/** Puts marks to the window in a slot. */
export function mark(slot: HTMLElement | null, { focused, hue, z }: Marks): void {
  const section = sectionIn(slot)
  if (!section) return
  section.className = focused ? `win win-focused hue-${hue}` : 'win'
  section.toggleAttribute('data-focused', focused)
  section.style.zIndex = String(z)
}
