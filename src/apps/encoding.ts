import { FileProblem } from './contract'

/** What a text file holds, and how it was written where that was not plain UTF-8. */
export interface ReadText {
  text: string
  encoding?: string
}

/** UTF-8 that begins with a byte order mark. */
const MARKED = 'utf-8 with mark'
/** How much of a file is looked at to guess how it was written, in bytes. */
const LOOKED_AT = 64_000
/** With less than this it can't be told whether it is text in UTF-16, in bytes. */
const LEAST = 32

/**
 * A text file, whatever it was written in: as its mark says, as UTF-8 where it is that, else as it
 * looks most like.
 * @throws FileProblem when it is not text
 */
export async function readTextFile(file: Blob): Promise<ReadText> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const encoding = marked(bytes) ?? (isUtf8(bytes) ? null : ((await unmarked(bytes)) ?? ''))
  if (encoding === '') throw new FileProblem('it is not text')
  const text = new TextDecoder(encoding === MARKED ? 'utf-8' : (encoding ?? 'utf-8')).decode(bytes)
  if (text.includes('\0')) throw new FileProblem('it is not text')
  return { text, ...(encoding !== null && { encoding }) }
}

function marked([first, second, third]: Uint8Array): string | null {
  if (first === 0xef && second === 0xbb && third === 0xbf) return MARKED
  if (first === 0xff && second === 0xfe) return 'utf-16le'
  return first === 0xfe && second === 0xff ? 'utf-16be' : null
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    // Every second byte of letters in UTF-16 is 0, which UTF-8 allows.
    return !bytes.includes(0)
  } catch {
    return false
  }
}

async function unmarked(bytes: Uint8Array): Promise<string | null> {
  const part = bytes.subarray(0, LOOKED_AT)
  if (part.includes(0) && part.length < LEAST) return null
  const zeros = [0, 1].map((odd) => part.filter((byte, at) => byte === 0 && at % 2 === odd).length)
  const [even = 0, odd = 0] = zeros
  // Of a text in UTF-16 one of the two bytes of most letters is 0, and always the same one.
  if (even + odd > 0) {
    if (odd > part.length / 8 && even < odd / 20) return 'utf-16le'
    return even > part.length / 8 && odd < even / 20 ? 'utf-16be' : null
  }
  const { analyse } = await import('chardet')
  const known = analyse(part).map(({ name }) => labelOf(name))
  return known.find((label) => label !== null && label !== 'utf-8') ?? 'windows-1252'
}

/** The name by which browsers decode, or null for one they do not know. */
function labelOf(name: string): string | null {
  try {
    return new TextDecoder(name).encoding
  } catch {
    return null
  }
}

/** What is said of a file that was not plain UTF-8. */
export const saysOf = (encoding: string): string =>
  encoding === MARKED
    ? 'it begins with a byte order mark, which exports keep'
    : canWrite(encoding)
      ? `read as ${encoding.toUpperCase()}, which exports keep`
      : `read as ${encoding.toUpperCase()}; exports are UTF-8`

const canWrite = (encoding: string): boolean =>
  encoding.startsWith('utf-') || tableOf(encoding) !== null

/**
 * A text as the bytes of an encoding, as it came. Where that does not have all of its letters, or
 * cannot be written, as UTF-8.
 */
export function bytesOf(text: string, encoding: string | undefined): Uint8Array<ArrayBuffer> {
  const utf8 = () => new TextEncoder().encode(text)
  switch (encoding) {
    case undefined:
      return utf8()
    case MARKED:
      return new TextEncoder().encode(`\ufeff${text}`)
    case 'utf-16le':
    case 'utf-16be':
      return utf16(`\ufeff${text}`, encoding === 'utf-16le')
    default:
      return single(text, encoding) ?? utf8()
  }
}

function utf16(text: string, little: boolean): Uint8Array<ArrayBuffer> {
  const view = new DataView(new ArrayBuffer(text.length * 2))
  for (let at = 0; at < text.length; at++) view.setUint16(at * 2, text.charCodeAt(at), little)
  return new Uint8Array(view.buffer)
}

/** Letters to bytes of an encoding that has a byte for each; null for others. */
function tableOf(encoding: string): Map<string, number> | null {
  const letters = [
    ...new TextDecoder(encoding).decode(Uint8Array.from({ length: 256 }, (_, at) => at)),
  ]
  if (letters.length !== 256) return null
  return new Map(letters.map((letter, at) => [letter, at]))
}

function single(text: string, encoding: string): Uint8Array<ArrayBuffer> | null {
  const table = tableOf(encoding)
  const bytes = table && [...text].map((letter) => table.get(letter))
  return bytes?.every((byte) => byte !== undefined) ? Uint8Array.from(bytes) : null
}
