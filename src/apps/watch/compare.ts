import type { Rect } from '@/core/geometry/rect'

/** Pictures are compared at this size, in pixels: a caret that blinks is less than one of them. */
export const SMALL = { width: 160, height: 100 }

/** A pixel is another when its light differs by more, of 255. */
const LIGHT = 14
/** So many of a thousand pixels have to be others: what is sent by the browser is never quite the same. */
const MANY = 1.5

/**
 * Whether a picture looks otherwise than the one before.
 * @param before,after red, green, blue and alpha of each pixel, row by row
 * @param part what is compared, in shares of width and height
 */
export function differs(
  before: Uint8ClampedArray,
  after: Uint8ClampedArray,
  part: Rect = { x: 0, y: 0, width: 1, height: 1 },
): boolean {
  const { width, height } = SMALL
  const left = Math.floor(part.x * width)
  const top = Math.floor(part.y * height)
  const right = Math.max(left + 1, Math.ceil((part.x + part.width) * width))
  const bottom = Math.max(top + 1, Math.ceil((part.y + part.height) * height))
  let others = 0
  for (let y = top; y < bottom; y++)
    for (let x = left; x < right; x++) {
      const at = (y * width + x) * 4
      if (Math.abs(light(before, at) - light(after, at)) > LIGHT) others++
    }
  return others * 1000 > MANY * (right - left) * (bottom - top)
}

/** How light a pixel is, as eyes see it, 0 to 255. */
const light = (pixels: Uint8ClampedArray, at: number): number =>
  0.299 * (pixels[at] ?? 0) + 0.587 * (pixels[at + 1] ?? 0) + 0.114 * (pixels[at + 2] ?? 0)

/** Whether there is nothing to be seen in a picture: a program that is minimised, or hides itself. */
export const isBlack = (pixels: Uint8ClampedArray): boolean => {
  for (let at = 0; at < pixels.length; at += 4) if (light(pixels, at) > 4) return false
  return true
}
