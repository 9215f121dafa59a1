import { KEYS } from './keyboard'
import { readKeys, type Stroke } from './strokes'

/**
 * How long keys take, in seconds, for someone who types well: the keystroke-level model (Card, Moran
 * and Newell 1980) with 0.2 s a key, and two things it leaves out: how far a key lies from where the
 * finger rests, and that a modifier is pressed by another finger while the key is looked for.
 */
const KEY = 0.2
/** A modifier beside its key. */
const MODIFIER = 0.1
/** For each key width from the home row to the key. */
const REACH = 0.04
/** How far keys lie that are apart from the letters, in key widths. */
const FAR = 6
/** Keys that are under a finger or a thumb, or just beside the letters. */
const NEAR: Record<string, number> = { Enter: 2, Backspace: 3, Tab: 1.5, Space: 0, Escape: 3.5 }

/** Where the fingers rest. */
const HOME = [...'ASDFJKL;']

function reach(key: string): number {
  const at = KEYS.get(key)
  if (!at) return NEAR[key] ?? FAR
  const rests = HOME.flatMap((rest) => KEYS.get(rest) ?? [])
  return Math.min(...rests.map(({ x, y }) => Math.hypot(at.x - x, at.y - y)))
}

const strokeTime = ({ ctrl, alt, shift, key }: Stroke): number =>
  KEY + REACH * reach(key) + MODIFIER * [ctrl, alt, shift].filter(Boolean).length

/** How long keys take, in seconds. @throws where they cannot be pressed */
export function effort(keys: string): number {
  const strokes = readKeys(keys)
  if (!strokes) throw new Error(`${keys} cannot be pressed`)
  return strokes.reduce((sum, stroke) => sum + strokeTime(stroke), 0)
}
