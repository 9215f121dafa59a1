import { getState, shelf } from '@/store/shelf'
import { isAsking } from '@/ui/parts/focus'

/**
 * The layer for one hand, in the set of that name: Alt tapped twice turns it on, and plain keys are
 * commands until Escape. A lone tap of Shift counts for the next key, so that nothing is held.
 */

/** Two taps of a key within this time, in milliseconds, are a double tap. */
export const TWICE = 500

/** The modifier that was pressed with no other key since. */
let down: string | null = null
let altTapped = 0
let shifted = false

/** Follows lone taps of Alt and Shift. */
export function tapped({ type, key, timeStamp, isTrusted }: KeyboardEvent): void {
  // Keys that were kept are pressed again later, in between.
  if (!isTrusted && key !== 'Alt' && key !== 'Shift') return
  if (type === 'keydown') {
    if (key !== down) altTapped = key === 'Alt' ? altTapped : 0
    down = key
    return
  }
  const lone = down === key
  if (key === down) down = null
  if (!lone || getState().settings.keys !== 'layer') return
  if (key === 'Shift' && shelf.getState().layer) shifted = !shifted
  if (key !== 'Alt') return
  const twice = timeStamp - altTapped < TWICE
  altTapped = twice ? 0 : timeStamp
  if (!twice) return
  if (shelf.getState().layer) leaveLayer()
  else {
    shelf.setState({ layer: true, announced: 'Keys are commands, Escape leaves' })
  }
}

/** Plain keys type again. */
export function leaveLayer(): void {
  shifted = false
  shelf.setState({ layer: false, announced: 'Keys type again' })
}

/** The strokes of a key with the Shift that was tapped before it. */
export function layerStrokes(strokes: string[]): string[] {
  if (!shifted || !strokes.length) return strokes
  shifted = false
  return strokes.map((stroke) =>
    stroke.includes('Shift+')
      ? stroke
      : stroke.replace(/^(Ctrl\+)?(Alt\+)?/, (held) => `${held}Shift+`),
  )
}

/** Whether plain keys are commands now: not where something is asked, nor in the rack. */
export const inLayer = (): boolean =>
  shelf.getState().layer && !isAsking() && !document.activeElement?.closest('nav')
