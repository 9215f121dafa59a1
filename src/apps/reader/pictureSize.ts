/** Width and height of a picture in pixels. */
export interface PictureSize {
  width: number
  height: number
}

const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]

/**
 * The size a PNG (ISO 15948) or JPEG (ISO 10918) says it has, from its first bytes, before anything
 * is made of it. Null where it says none.
 */
export function pictureSize(bytes: Uint8Array): PictureSize | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.length >= 24 && PNG.every((byte, at) => bytes[at] === byte))
    return { width: view.getUint32(16), height: view.getUint32(20) }
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return null
  for (let at = 2; at + 9 < bytes.length; ) {
    if (bytes[at] !== 0xff) return null
    const marker = bytes[at + 1] ?? 0
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
    if (isFrame) return { width: view.getUint16(at + 7), height: view.getUint16(at + 5) }
    const standsAlone = marker === 0xff || (marker >= 0xd0 && marker <= 0xd8)
    at += standsAlone ? (marker === 0xff ? 1 : 2) : 2 + view.getUint16(at + 2)
  }
  return null
}
