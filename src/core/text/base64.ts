/** So many bytes become text at a time: more would be too many arguments. */
const PART = 8192

/** Bytes as text (RFC 4648). */
export function inBase64(bytes: Uint8Array): string {
  let text = ''
  for (let from = 0; from < bytes.length; from += PART)
    text += String.fromCharCode(...bytes.subarray(from, from + PART))
  return btoa(text)
}

/** Bytes from their text. @throws where it is none */
export const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0))
