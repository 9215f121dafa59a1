import { overlap, type Point, type Rect, type Size } from './rect'

/** Where a display is drawn on the page, and how large. */
export interface Surface extends Point {
  scale: number
}

/** Above each miniature, for its name, in CSS pixels. */
export const CAPTION = 20

/**
 * Where the display in the large area is drawn: a browser window's own size fits exactly, any other
 * is made as large as the area allows, a mirrored one larger than it is where there is room.
 */
export function largeSurface(
  display: Size & { measured?: boolean },
  area: Size,
  most = 1,
): Surface {
  if (display.measured) return { x: 0, y: 0, scale: 1 }
  const scale = Math.min(most, area.width / display.width, area.height / display.height)
  return {
    x: Math.round((area.width - display.width * scale) / 2),
    y: Math.round((area.height - display.height * scale) / 2),
    scale,
  }
}

/** How many displays stand one above the other over this one: each has a caption. */
function above(display: Rect, all: Rect[]): number {
  const over = all.filter(
    (other) =>
      other.y + other.height <= display.y &&
      overlap({ ...other, y: 0, height: 1 }, { ...display, y: 0, height: 1 }) > 0,
  )
  return over.length === 0 ? 0 : 1 + Math.max(...over.map((other) => above(other, all)))
}

/**
 * Displays as miniatures within a column, in their true arrangement and proportion, a caption above
 * each. They stand at the top, in the middle of its width.
 */
export function miniatures(
  displays: (Rect & { id: string })[],
  column: Rect,
): Record<string, Surface> {
  if (displays.length === 0) return {}
  const left = Math.min(...displays.map(({ x }) => x))
  const top = Math.min(...displays.map(({ y }) => y))
  const width = Math.max(...displays.map((one) => one.x + one.width)) - left
  const height = Math.max(...displays.map((one) => one.y + one.height)) - top
  const levels = displays.map((one) => above(one, displays) + 1)
  const room = column.height - Math.max(...levels) * CAPTION
  const scale = Math.max(0.01, Math.min(column.width / width, room / height))
  const indent = (column.width - width * scale) / 2
  return Object.fromEntries(
    displays.map((one, at) => [
      one.id,
      {
        x: column.x + indent + (one.x - left) * scale,
        y: column.y + (one.y - top) * scale + (levels[at] ?? 1) * CAPTION,
        scale,
      },
    ]),
  )
}
