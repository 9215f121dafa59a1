import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'

/** A document and its pictures in one file (ZIP): the text, and beside it a folder of pictures. */

/** A picture in a text: what comes before its address, and the address. */
const PICTURE = /(!\[[^\]]*\]\()([^)\s]+)/g
const OF_SHELF = /^kite:/

export interface Pictured {
  /** Name of its file, with the extension. */
  name: string
  bytes: Uint8Array
}

/** The ids of the documents whose pictures a text shows. */
export const picturesIn = (markdown: string): string[] => [
  ...new Set(
    [...markdown.matchAll(PICTURE)]
      .map(([, , address = '']) => address)
      .filter((address) => OF_SHELF.test(address))
      .map((address) => address.replace(OF_SHELF, '')),
  ),
]

/** @param pictures by the ids of their documents; what is not among them stays as it is */
export function packed(
  text: { name: string; markdown: string; bytes(markdown: string): Uint8Array },
  pictures: ReadonlyMap<string, Pictured>,
): Uint8Array {
  const paths = new Map<string, string>()
  const files: Record<string, Uint8Array> = {}
  for (const [id, { name, bytes }] of pictures) {
    const path = freePath(files, safe(name))
    files[path] = bytes
    paths.set(`kite:${id}`, path)
  }
  const markdown = text.markdown.replace(PICTURE, (whole, before: string, address: string) => {
    const path = paths.get(address)
    return path ? `${before}${encodeURI(path).replace(/[()]/g, escaped)}` : whole
  })
  // Pictures are packed already, each in its own way.
  return zipSync({ [`${safe(text.name)}.md`]: text.bytes(markdown), ...files }, { level: 0 })
}

const escaped = (letter: string): string => `%${letter.charCodeAt(0).toString(16)}`

/** A name no file system takes for something else. */
const safe = (name: string): string =>
  // biome-ignore lint/suspicious/noControlCharactersInRegex: no file has them in its name
  name.replace(/[\\/:*?"<>|\u0000-\u001f]/g, '_').slice(0, 100) || 'document'

function freePath(files: Record<string, unknown>, name: string): string {
  const dot = name.lastIndexOf('.')
  const [stem, extension] = dot > 0 ? [name.slice(0, dot), name.slice(dot)] : [name, '']
  let path = `pictures/${name}`
  for (let count = 2; Object.hasOwn(files, path); count++)
    path = `pictures/${stem} ${count}${extension}`
  return path
}

const UNPACKED_MOST = 200 * 1024 * 1024

/** Says in a few words what is wrong with a file, to follow a colon. */
export class PackProblem extends Error {}

/**
 * A text from a ZIP, its pictures put where they are kept.
 * @param take keeps a picture; the id it has then, or null where it is none
 * @param most a file that unpacks to more than this is not taken, in bytes
 * @throws PackProblem where it is no ZIP, has no text, or is too much
 */
export async function unpacked(
  zip: Uint8Array,
  take: (picture: Pictured) => Promise<string | null>,
  most = UNPACKED_MOST,
): Promise<{ name: string; bytes: Uint8Array; put(markdown: string): Promise<string> }> {
  let size = 0
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(zip, {
      filter: ({ name, originalSize }) => {
        size += originalSize
        if (size > most) throw new PackProblem(`it holds more than ${most / 1024 / 1024} MB`)
        return !name.endsWith('/')
      },
    })
  } catch (error) {
    throw error instanceof PackProblem ? error : new PackProblem('it is no ZIP, or it is damaged')
  }
  const texts = Object.keys(files).filter((path) => /\.(md|markdown)$/i.test(path))
  const [path] = texts.sort((a, b) => depth(a) - depth(b))
  if (!path) throw new PackProblem('there is no Markdown file in it')
  const folder = path.slice(0, path.lastIndexOf('/') + 1)
  const put = async (markdown: string) => {
    const ids = new Map<string, string>()
    for (const [, , address = ''] of markdown.matchAll(PICTURE)) {
      const there = folder + plainPath(address)
      const bytes = files[there]
      if (!bytes || ids.has(address)) continue
      const id = await take({ name: there.slice(there.lastIndexOf('/') + 1), bytes })
      if (id) ids.set(address, id)
    }
    return markdown.replace(PICTURE, (whole, before: string, address: string) => {
      const id = ids.get(address)
      return id ? `${before}kite:${id}` : whole
    })
  }
  const name = path.slice(folder.length).replace(/\.\w+$/, '')
  return { name, bytes: files[path] ?? strToU8(''), put }
}

const depth = (path: string): number => path.split('/').length

function plainPath(address: string): string {
  try {
    return decodeURIComponent(address).replace(/^\.\//, '')
  } catch {
    return address
  }
}

/** A text as it is written in UTF-8, and read again. */
export const utf8 = { bytes: strToU8, text: strFromU8 }
