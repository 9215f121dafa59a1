/** Width and height of a picture, in pixels. */
export type Pixels = [width: number, height: number]

/**
 * A picture drawn so that no side of it is longer than wanted.
 * @param most pixels
 * @param as how it is written; `quality` from 0 to 1
 * @throws where the browser cannot draw it
 */
export async function scaled(
  file: Blob,
  most: number,
  as: { type: string; quality: number },
): Promise<{ file: Blob; before: Pixels; after: Pixels }> {
  const picture = await createImageBitmap(file)
  const before: Pixels = [picture.width, picture.height]
  const scale = Math.min(1, most / Math.max(...before))
  const after = before.map((side) => Math.max(1, Math.round(side * scale))) as Pixels
  const canvas = new OffscreenCanvas(...after)
  const context = canvas.getContext('2d')
  if (!context) throw new Error('nothing to draw on')
  context.imageSmoothingQuality = 'high'
  context.drawImage(picture, 0, 0, ...after)
  picture.close()
  return { file: await canvas.convertToBlob(as), before, after }
}
