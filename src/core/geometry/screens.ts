import type { Rect, Size } from './rect'

/** A screen of the machine: where what stands on it may be, in CSS pixels of all screens together. */
export interface ScreenRoom {
  availLeft: number
  availTop: number
  availWidth: number
  availHeight: number
}

/**
 * The screen a display stands for: the page's own display the screen the page is on, each other in its order one of the
 * other screens, from left to right and from the top down. Where there are too few it is the page's.
 * @param order of the displays that are plugged in
 * @param own the display the page itself shows
 */
export function screenFor<Room extends ScreenRoom>(
  display: string,
  order: readonly string[],
  own: string,
  screens: readonly Room[],
  current: Room,
): Room {
  const others = screens
    .filter((screen) => screen !== current)
    .toSorted((a, b) => a.availLeft - b.availLeft || a.availTop - b.availTop)
  const at = order.filter((id) => id !== own).indexOf(display)
  return (display === own ? current : others[at]) ?? current
}

/** Where on a screen stands what stands there on a display, in whole CSS pixels of all screens together. */
export function onScreen(screen: ScreenRoom, display: Size, frame: Rect): Rect {
  const [across, down] = [screen.availWidth / display.width, screen.availHeight / display.height]
  return {
    x: Math.round(screen.availLeft + frame.x * across),
    y: Math.round(screen.availTop + frame.y * down),
    width: Math.round(frame.width * across),
    height: Math.round(frame.height * down),
  }
}
