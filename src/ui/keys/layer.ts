import { isAsking } from '@/parts/focus'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'

/**
 * The layer for one hand, in the set of that name: Alt tapped twice turns it on, and plain keys are
 * commands until Escape. A lone tap of Shift counts for the next key, so that nothing is held.
 */

/** Two taps of a key within this time, in milliseconds, are a double tap. */
export const TWICE = 500

const own = ofShelf(() => ({
  /** The modifier that was pressed with no other key since. */
  down: null as string | null,
  altTapped: 0,
  shifted: false,
}))

/** Follows lone taps of Alt and Shift. */
export function tapped(shelf: Shelf, { type, key, timeStamp, isTrusted }: KeyboardEvent): void {
  // Keys that were kept are pressed again later, in between.
  if (!isTrusted && key !== 'Alt' && key !== 'Shift') return
  if (type === 'keydown') {
    if (key !== own(shelf).down) own(shelf).altTapped = key === 'Alt' ? own(shelf).altTapped : 0
    own(shelf).down = key
    return
  }
  const lone = own(shelf).down === key
  if (key === own(shelf).down) own(shelf).down = null
  if (!lone || shelf.state().settings.keys !== 'layer') return
  if (key === 'Shift' && shelf.page.getState().layer) own(shelf).shifted = !own(shelf).shifted
  if (key !== 'Alt') return
  const twice = timeStamp - own(shelf).altTapped < TWICE
  own(shelf).altTapped = twice ? 0 : timeStamp
  if (!twice) return
  if (shelf.page.getState().layer) leaveLayer(shelf)
  else {
    shelf.page.setState({ layer: true, announced: 'Keys are commands, Escape leaves' })
  }
}

/** Plain keys type again. */
export function leaveLayer(shelf: Shelf): void {
  own(shelf).shifted = false
  shelf.page.setState({ layer: false, announced: 'Keys type again' })
}

/** The strokes of a key with the Shift that was tapped before it. */
export function layerStrokes(shelf: Shelf, strokes: string[]): string[] {
  if (!own(shelf).shifted || !strokes.length) return strokes
  own(shelf).shifted = false
  return strokes.map((stroke) =>
    stroke.includes('Shift+')
      ? stroke
      : stroke.replace(/^(Ctrl\+)?(Alt\+)?/, (held) => `${held}Shift+`),
  )
}

/** Whether plain keys are commands now: not where something is asked, nor in the rack. */
export const inLayer = (shelf: Shelf): boolean =>
  shelf.page.getState().layer && !isAsking(shelf) && !document.activeElement?.closest('nav')
