import type { Rect } from '@/core/geometry/rect'
import { differs, isBlack, SMALL } from './compare'

/** Looks at one picture after the other, and remembers only the last, small. */
export class Looker {
  private before: Uint8ClampedArray | null = null
  private canvas = new OffscreenCanvas(SMALL.width, SMALL.height)
  private context = this.canvas.getContext('2d', { willReadFrequently: true })

  /** @returns whether it looks otherwise than the one before, and whether nothing is to be seen */
  look(picture: ImageBitmap, part?: Rect): { changed: boolean; black: boolean } {
    this.context?.drawImage(picture, 0, 0, SMALL.width, SMALL.height)
    picture.close()
    const { data } = this.context?.getImageData(0, 0, SMALL.width, SMALL.height) ?? {}
    if (!data) return { changed: false, black: false }
    const { before } = this
    this.before = data
    return { changed: before !== null && differs(before, data, part), black: isBlack(data) }
  }
}
