import { number } from 'yup'
import { limited, reachable, spanFrame } from '@/core/geometry/rect'
import { isShown } from '@/core/model/selectors'
import { raise } from '@/core/model/stacking'
import type { State, Window } from '@/core/model/types'
import { focusOn, settleFocus } from './change'
import { command, no } from './command'
import { framed, meant, on, quoted, which } from './meant'
import { refused } from './places'

const group = 'Windows' as const

/** A window moved or resized by hand is no longer placed or maximised. */
export function moveFrame(draft: State, found: Window, change: Partial<Window['frame']>): void {
  const area = draft.displays[found.display]
  if (!area) return
  const size = limited({ ...found.frame, ...change }, found.limits)
  found.frame = reachable({ ...found.frame, ...change, ...size }, area)
  found.placed = null
  found.maximised = false
}

const move = command({
  id: 'window.move',
  title: 'Move window',
  group,
  args: { ...which, x: number().required(), y: number().required() },
  can: framed,
  run: on((draft, found, { x, y }: { window?: string; x: number; y: number }) => {
    moveFrame(draft, found, { x, y })
    return { say: `Moved ${quoted(draft, found)}` }
  }),
})

const resize = command({
  id: 'window.resize',
  title: 'Resize window',
  group,
  args: {
    ...which,
    x: number(),
    y: number(),
    width: number().required().positive(),
    height: number().required().positive(),
  },
  can: framed,
  run: on(
    (draft, found, { x, y, width, height }: Partial<Window['frame']> & { window?: string }) => {
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

const cell = number().integer().min(0).max(2).required()

const place = command({
  id: 'window.place',
  title: 'Place window',
  group,
  args: { ...which, top: cell, left: cell, bottom: cell, right: cell },
  can: (state, args) =>
    args.top > args.bottom || args.left > args.right
      ? no('That span is turned round: top and left come first.')
      : framed(state, args),
  run: (draft, { window: id, ...span }) => {
    const found = meant(draft, id)
    const area = refused(found) ? undefined : draft.displays[found.display]
    if (refused(found) || !area) return
    found.maximised = false
    found.minimised = false
    found.placed = span
    found.frame = spanFrame(span, area, found.limits)
    return { say: `Placed ${quoted(draft, found)}` }
  },
})

const minimise = command({
  id: 'window.minimise',
  title: 'Minimise window',
  group,
  args: which,
  can: framed,
  run: on((draft, found) => {
    found.minimised = !found.minimised
    if (!found.minimised) {
      raise(draft, found.id)
      if (isShown(draft, found)) focusOn(draft, found.id)
    }
    settleFocus(draft)
    return { say: `${found.minimised ? 'Minimised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

const maximise = command({
  id: 'window.maximise',
  title: 'Maximise window, and back',
  group,
  args: which,
  can: (state, args) => {
    const found = meant(state, args.window)
    const can = framed(state, args)
    if (refused(found) || can !== true) return refused(found) ? found : can
    return (
      (!found.limits.maxWidth && !found.limits.maxHeight) ||
      no(`${quoted(state, found)} has a largest size and cannot be maximised.`)
    )
  },
  run: on((draft, found) => {
    found.maximised = !found.maximised
    found.minimised = false
    raise(draft, found.id)
    return { say: `${found.maximised ? 'Maximised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

export const placeCommands = [place, move, resize, minimise, maximise]
