import type { Desktop } from '@/core/model/kinds/desktop'
import { BACKDROPS, type Backdrop, HUES, type Hue } from '@/core/model/kinds/look'
import { EMBLEMS, emblemFor } from './emblems'

/** Hues in the order of the colour circle: those beside each other are alike. Slate has no hue. */
const CIRCLE: Hue[] = [
  'vermilion',
  'rust',
  'marigold',
  'lime',
  'moss',
  'teal',
  'sky',
  'cobalt',
  'violet',
  'plum',
  'rose',
]

/** How alike two hues are: 1 the same, 0 as far apart as hues can be. */
export function alike(one: Hue, other: Hue): number {
  if (one === other) return 1
  const [a, b] = [CIRCLE.indexOf(one), CIRCLE.indexOf(other)]
  if (a < 0 || b < 0) return 0.2
  const steps = Math.min(
    (a - b + CIRCLE.length) % CIRCLE.length,
    (b - a + CIRCLE.length) % CIRCLE.length,
  )
  return Math.max(0, 1 - steps / (CIRCLE.length / 2))
}

type Faced = Pick<Desktop, 'hue' | 'backdrop' | 'emblem'>

/** What a look costs beside others: the more, the nearer they stand and the more alike they are. */
function cost(others: Faced[], at: number, like: (other: Faced) => number): number {
  return others.reduce((sum, other, place) => {
    const steps = place < at ? at - place : place - at + 1
    // What any of them has, however far, is taken only when there is nothing that none has.
    return sum + like(other) * (1 / steps) + (like(other) === 1 ? USED : 0)
  }, 0)
}

/** More than all neighbours together can cost. */
const USED = 20

const least = <T>(choices: readonly T[], of: (choice: T) => number): T => {
  const [first, ...rest] = choices
  return rest.reduce((best, next) => (of(next) < of(best) ? next : best), first as T)
}

/**
 * The look of a desktop that comes between others: hue, backdrop and emblem each as unlike its
 * neighbours as possible, so that it is told from them also without colours.
 * @param others in their order
 * @param at its place among them, from 0
 * @param name of the new one; it may speak of an emblem
 */
export function unlike(
  others: Faced[],
  at: number,
  name: string,
): { hue: Hue; backdrop: Backdrop; emblem: string } {
  const spoken = emblemFor(name)
  const used = (emblem: string) => others.some((other) => other.emblem === emblem)
  const emblem =
    spoken && !used(spoken)
      ? spoken
      : least(Object.keys(EMBLEMS), (one) =>
          cost(others, at, (other) => Number(other.emblem === one)),
        )
  return {
    hue: least(HUES, (one) => cost(others, at, (other) => alike(one, other.hue))),
    backdrop: least(BACKDROPS, (one) =>
      cost(others, at, (other) => Number(other.backdrop === one)),
    ),
    emblem,
  }
}
