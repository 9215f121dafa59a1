import { boolean, number, string } from 'yup'
import { focusOn, settleFocus } from '@/core/commands/change'
import { command, no, refused } from '@/core/commands/command'
import { framedWindow, meant, onFramed, quoted, which } from '@/core/commands/meant'
import { DIRECTIONS, type Direction } from '@/core/geometry/direction'
import { centred, grown, spanInWords, toSide, WHOLE } from '@/core/geometry/pad'
import { limited, reachable, type Span, spanFrame } from '@/core/geometry/rect'
import { settleOn, stand } from '@/core/model/displays'
import { limitsOf } from '@/core/model/exceptions'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Window } from '@/core/model/kinds/window'
import { byUse, currentId, isShown, window as windowOf } from '@/core/model/selectors'
import { span } from '@/core/model/shaping'
import { raise } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { DIVIDER_STEP, divideAt } from './divider'

const group = 'Windows' as const

/** A window moved or resized by hand is no longer placed or maximised. */
export function moveFrame(draft: State, found: Window, change: Partial<Window['frame']>): void {
  settleOn(draft, found)
  const area = draft.displays[found.display]
  if (!area) return
  const size = limited({ ...found.frame, ...change }, found.limits)
  stand(draft, found, reachable({ ...found.frame, ...change, ...size }, area))
  found.placed = null
  delete found.unplaced
  found.maximised = false
}

const move = command({
  id: 'window.move',
  title: 'Move window',
  group,
  unlisted: true,
  args: { ...which, x: number().required(), y: number().required() },
  plan: onFramed((draft, found, { x, y }: { window?: string; x: number; y: number }) => {
    moveFrame(draft, found, { x, y })
    return { say: `Moved ${quoted(draft, found)}` }
  }),
})

const resize = command({
  id: 'window.resize',
  title: 'Resize window',
  group,
  unlisted: true,
  args: {
    ...which,
    x: number(),
    y: number(),
    width: number().required().positive(),
    height: number().required().positive(),
  },
  plan: onFramed(
    (draft, found, { x, y, width, height }: Partial<Window['frame']> & { window?: string }) => {
      settleOn(draft, found)
      const { frame } = found
      moveFrame(draft, found, {
        x: x ?? frame.x,
        y: y ?? frame.y,
        width: width ?? frame.width,
        height: height ?? frame.height,
      })
      return { say: `Resized ${quoted(draft, found)}` }
    },
  ),
})

/**
 * Places a window into a part of the pad; where it stood before is kept.
 * @param sized whether it takes the size of its place though its app keeps its own
 */
export function placeInto(draft: State, found: Window, span: Span, sized = false): void {
  settleOn(draft, found)
  const area = draft.displays[found.display]
  if (!area) return
  found.unplaced ??= { ...found.frame }
  found.maximised = false
  found.minimised = false
  found.placed = { ...span }
  found.frame = spanFrame(
    span,
    area,
    sized ? found.limits : limitsOf(draft, found),
    draft.settings.gap,
  )
}

const place = command({
  id: 'window.place',
  title: 'Place window',
  group,
  unlisted: true,
  args: { ...which, ...span, sized: boolean() },
  plan: (draft, { window: id, sized, ...given }) => {
    if (given.top >= given.bottom + 1 || given.left >= given.right + 1)
      return no('That area is reversed: give top and left first.')
    const found = framedWindow(draft, { window: id })
    if (refused(found)) return found
    placeInto(draft, found, given, sized)
    return { say: `Placed ${quoted(draft, found)}` }
  },
})

/** The pair a window is in, where its divider can go to the left or right. */
function pairOf(state: State, id: string | undefined, to: Direction): Desktop | undefined {
  const found = meant(state, id)
  const lives = refused(found) ? undefined : state.desktops[found.desktop]
  return lives?.kind === 'pair' && (to === 'left' || to === 'right') ? lives : undefined
}

const byStep = (to: Direction): number => (to === 'left' ? -DIVIDER_STEP : DIVIDER_STEP)

const side = command({
  id: 'window.side',
  title: 'Place window at a side',
  group,
  unlisted: true,
  args: { ...which, to: string().oneOf(DIRECTIONS).required() },
  plan: (draft, args) => {
    const pair = pairOf(draft, args.window, args.to)
    if (pair) return divideAt(pair, undefined, byStep(args.to))
    const found = framedWindow(draft, args)
    if (refused(found)) return found
    placeInto(draft, found, toSide(found.placed, args.to))
    return { say: `Placed ${quoted(draft, found)}: ${spanInWords(found.placed ?? WHOLE)}` }
  },
})

const HALF = 0.5
/** Parts of the pad with a name and a command of their own. */
const PARTS = [
  ['leftHalf', 'left half', { ...WHOLE, right: HALF }],
  ['rightHalf', 'right half', { ...WHOLE, left: 1 + HALF }],
  ['upperHalf', 'upper half', { ...WHOLE, bottom: HALF }],
  ['lowerHalf', 'lower half', { ...WHOLE, top: 1 + HALF }],
  ['leftThird', 'left third', { ...WHOLE, right: 0 }],
  ['middleThird', 'middle third', { ...WHOLE, left: 1, right: 1 }],
  ['rightThird', 'right third', { ...WHOLE, left: 2 }],
  ['leftTwoThirds', 'left two thirds', { ...WHOLE, right: 1 }],
  ['rightTwoThirds', 'right two thirds', { ...WHOLE, left: 1 }],
  ['upperLeft', 'upper left quarter', { ...WHOLE, bottom: HALF, right: HALF }],
  ['upperRight', 'upper right quarter', { ...WHOLE, bottom: HALF, left: 1 + HALF }],
  ['lowerLeft', 'lower left quarter', { ...WHOLE, top: 1 + HALF, right: HALF }],
  ['lowerRight', 'lower right quarter', { ...WHOLE, top: 1 + HALF, left: 1 + HALF }],
] as const satisfies [id: string, name: string, Span][]

const parts = PARTS.map(([id, name, span]) =>
  command({
    id: `place.${id}`,
    title: `Place in the ${name}`,
    group,
    args: which,
    plan: onFramed((draft, found) => {
      placeInto(draft, found, span)
      return { say: `Placed ${quoted(draft, found)} in the ${name}` }
    }),
  }),
)

const centre = command({
  id: 'window.centre',
  title: 'Put window in the middle',
  group,
  args: which,
  plan: onFramed((draft, found) => {
    settleOn(draft, found)
    const area = draft.displays[found.display]
    if (area) moveFrame(draft, found, centred(found.frame, area))
    return { say: `Put ${quoted(draft, found)} in the middle` }
  }),
})

const grow = <Id extends string>(id: Id, title: string, by: number, says: string) =>
  command({
    id,
    title,
    group,
    args: which,
    plan: onFramed((draft, found) => {
      settleOn(draft, found)
      const area = draft.displays[found.display]
      if (area) moveFrame(draft, found, grown(found.frame, by, { area, limits: found.limits }))
      return { say: `${says} ${quoted(draft, found)}` }
    }),
  })

const sizes = [
  grow('window.grow', 'Grow window', 24, 'Grew'),
  grow('window.shrink', 'Shrink window', -24, 'Shrank'),
]

const restore = command({
  id: 'window.restore',
  title: 'Undo placing this window',
  group,
  args: which,
  plan: onFramed((draft, found) => {
    if (found.maximised) found.maximised = false
    else if (found.unplaced) moveFrame(draft, found, found.unplaced)
    else return no(`${quoted(draft, found)} stands where it was put by hand.`)
    return { say: `Brought ${quoted(draft, found)} back to where it stood` }
  }),
})

const minimise = command({
  id: 'window.minimise',
  title: 'Minimise window',
  group,
  args: which,
  plan: onFramed((draft, found) => {
    found.minimised = !found.minimised
    if (!found.minimised) {
      raise(draft, found.id)
      if (isShown(draft, found)) focusOn(draft, found.id)
    }
    settleFocus(draft)
    return { say: `${found.minimised ? 'Minimised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

/** The one that was used last of those that are minimised here. */
const bringBack = command({
  id: 'window.bringBack',
  title: 'Bring back the last minimised',
  group,
  plan: (draft) => {
    const found = byUse(draft).find(
      ({ minimised, desktop }) => minimised && desktop === currentId(draft),
    )
    if (!found) return no('No window is minimised here.')
    const { id } = found
    const back = windowOf(draft, id)
    back.minimised = false
    raise(draft, id)
    if (isShown(draft, back)) focusOn(draft, id)
    return { say: `Brought back ${quoted(draft, back)}` }
  },
})

const maximise = command({
  id: 'window.maximise',
  title: 'Maximise window',
  group,
  args: which,
  plan: onFramed((draft, found) => {
    if (found.limits.maxWidth || found.limits.maxHeight)
      return no(`${quoted(draft, found)} has a maximum size, so it can’t be maximised.`)
    found.maximised = !found.maximised
    found.minimised = false
    raise(draft, found.id)
    return { say: `${found.maximised ? 'Maximised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

export const placeCommands = [
  place,
  side,
  ...parts,
  centre,
  ...sizes,
  restore,
  move,
  resize,
  minimise,
  bringBack,
  maximise,
]
