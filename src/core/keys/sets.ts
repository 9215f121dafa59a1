import type { State } from '@/core/model/state'
import type { KeySet } from '@/core/settings/keySets'

/** Comes before every command in the leader set. */
export const LEADER = 'Ctrl+.'
/** Begins the layer in which plain keys are commands. */
const TAPS = 'Alt Alt'

/** What stands in for `Alt+` in a set. */
export const BEGINNINGS: Record<KeySet, string> = {
  auto: 'Alt+',
  alt: 'Alt+',
  control: 'Ctrl+Alt+',
  leader: `${LEADER} `,
  layer: `${TAPS} `,
}

type Keyed = Pick<State, 'settings'>

/** Keys as the person presses them, in the set they use. */
export const asPressed = (keys: string, { settings }: Keyed): string =>
  keys.startsWith('Alt+') && !keys.includes('Mouse')
    ? BEGINNINGS[settings.keys] + keys.slice('Alt+'.length)
    : keys

/** A stroke that follows others: whether Alt is still held makes no difference. */
export const following = (stroke: string): string => stroke.replace(/^(Ctrl\+)?Alt\+/, '')

/** Strokes that were pressed one after the other, as keys are written; the other way of `asPressed`. */
export function asWritten(strokes: string[], { settings }: Keyed): string {
  const { keys: set } = settings
  const led = set === 'leader' && strokes[0] === LEADER && strokes.length > 1
  const [first = '', ...rest] = led ? strokes.slice(1) : strokes
  const begun = led
    ? `Alt+${first}`
    : set === 'control'
      ? first.replace(/^Ctrl\+Alt\+/, 'Alt+')
      : first
  return [begun, ...rest.map(following)].join(' ')
}

/**
 * Whether a stroke is of those that begin commands in the set the person uses, with Ctrl held too: even
 * where it means nothing yet, it is no app's.
 */
export const isOfSet = (stroke: string, { settings }: Keyed): boolean =>
  settings.keys === 'control' && stroke.startsWith(BEGINNINGS.control)

/** What was heard before a stroke: the strokes of a sequence, and whether the layer is on. */
interface Before {
  pending: string
  layer: boolean
}

/**
 * A first stroke as keys are written, in the set the person uses; the leader is not one. Null where
 * it is not for us: in each set but the first the strokes of Alt alone type, or are the browser’s.
 */
export function meant(
  stroke: string,
  { settings }: Keyed,
  { pending, layer }: Before,
): string | null {
  const alone = stroke.startsWith('Alt+')
  switch (settings.keys) {
    case 'auto':
    case 'alt':
      return stroke
    case 'control':
      if (stroke.startsWith('Ctrl+Alt+')) return stroke.slice('Ctrl+'.length)
      return alone && !pending ? null : stroke
    case 'leader':
      if (pending === LEADER) return `Alt+${following(stroke)}`
      return alone && !pending ? null : stroke
    case 'layer':
      if (layer && !pending && !stroke.startsWith('Ctrl+')) return `Alt+${following(stroke)}`
      return alone && !pending ? null : stroke
  }
}
