import { type Limits, limited, type Rect, reachable, type Size } from './rect'

/**
 * The frame of a window in a room of another size, every length in proportion to it: what stands side
 * by side still does.
 *
 * @param from the room it stood in
 */
export function stretched(frame: Rect, from: Size, to: Size, limits: Limits): Rect {
  const [wide, tall] = [to.width / from.width, to.height / from.height]
  const size = limited({ width: frame.width * wide, height: frame.height * tall }, limits)
  return reachable({ x: frame.x * wide, y: frame.y * tall, ...size }, to)
}

/** A length on another display: kept where it fits, else in the same proportion to the display. */
const fitting = (length: number, from: number, to: number): number =>
  length <= to ? length : Math.min(to, (length / from) * to)

/** Where it begins there: the free room on both sides stays in proportion. */
function start(at: number, length: number, room: number, then: number, roomThen: number): number {
  const free = room - length
  return free > 0 ? (at / free) * (roomThen - then) : Math.min(at, 0)
}

/**
 * The frame of a window on a display of another size: its size is kept where it fits, else the
 * ratio to the display is; the free room around it stays in proportion,
 * x′ = x / (W − w) · (W′ − w′).
 */
export function across(frame: Rect, from: Size, to: Size, limits: Limits): Rect {
  const size = limited(
    {
      width: fitting(frame.width, from.width, to.width),
      height: fitting(frame.height, from.height, to.height),
    },
    limits,
  )
  const x = start(frame.x, frame.width, from.width, size.width, to.width)
  const y = start(frame.y, frame.height, from.height, size.height, to.height)
  return reachable({ x, y, ...size }, to)
}
