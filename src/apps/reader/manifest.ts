import { BookOpen } from 'lucide-react'
import { addressOf, blobOf } from '@/parts/dataAddress'
import { isUnloaded } from '@/store/unloaded'
import { type AppManifest, FileProblem } from '../contract'
import { bytesOf, readTextFile } from '../encoding'
import { READER, type ReaderContent } from './content'
import { pictureSize } from './pictureSize'

const PICTURES: Record<string, string> = {
  '.png': 'image/png',
  '.jpg': 'image/jpeg',
  '.jpeg': 'image/jpeg',
  '.svg': 'image/svg+xml',
}

export const reader: AppManifest<ReaderContent | null> = {
  id: 'reader',
  name: 'Reader',
  plural: 'reader windows',
  untitled: 'Nothing to read yet',
  glyph: BookOpen,
  width: 440,
  height: 480,
  limits: { minWidth: 220, minHeight: 160 },
  opens: ['.txt', ...Object.keys(PICTURES), '.pdf'],
  drafts: false,
  contents: READER,
  keys: [
    ['Ctrl+F', 'find'],
    ['F2', 'edit a text; Escape ends editing'],
    ['Left', 'page before; → the page after'],
    ['+', 'larger; - smaller, 0 as wide as the window'],
    ['9', 'whole page; 8 pages side by side'],
    ['T', 'rotate the pages'],
    ['Ctrl+P', 'print'],
  ],
  load: () => import('./Reader'),
  extension: (content) => {
    if (content?.kind === 'markdown') return '.md'
    if (content?.kind === 'pdf') return '.pdf'
    return content?.kind === 'picture' ? extensionOf(content.data) : '.txt'
  },
  write: (content) => {
    if (content === null) return new Blob([''], { type: 'text/plain' })
    if ('data' in content) return blobOf(content.data)
    return new Blob([bytesOf(content.text, content.encoding)], { type: 'text/plain' })
  },
  read: async (file) => {
    const extension = /\.\w+$/.exec(file.name.toLowerCase())?.[0] ?? ''
    if (extension === '.txt') return readText(file)
    if (extension === '.pdf') return readPdf(file)
    return readPicture(file, PICTURES[extension] ?? '')
  },
}

/** The extension of a picture, by the kind its data address tells. */
const extensionOf = (data: string): string =>
  Object.entries(PICTURES).find(([, type]) => data.startsWith(`data:${type}`))?.[0] ?? ''

async function readText(file: File): Promise<ReaderContent> {
  return { kind: 'text', ...(await readTextFile(file)) }
}

async function readPdf(file: File): Promise<ReaderContent> {
  const { wordsOf } = await import('./pdf')
  const data = await dataAddress(file, 'application/pdf')
  const text = await wordsOf(data).catch((error) => {
    if (isUnloaded(error)) throw error
    throw new FileProblem('it is not a PDF, or it is damaged')
  })
  return { kind: 'pdf', data, text }
}

/** The most pixels of a picture that is opened: four bytes of memory each, whatever the file's size. */
const PIXELS_MOST = 64_000_000
/** Where the size stands: after whatever a camera writes before it. */
const HEAD = 512 * 1024
const SVG_MOST = 5 * 1024 * 1024

async function readPicture(file: File, type: string): Promise<ReaderContent> {
  const size = pictureSize(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()))
  if (size && size.width * size.height > PIXELS_MOST)
    throw new FileProblem(
      `it has ${size.width} × ${size.height} pixels, more than the ${PIXELS_MOST / 1e6} million that are shown. Make it smaller first`,
    )
  if (type === PICTURES['.svg'] && file.size > SVG_MOST)
    throw new FileProblem('it is a drawing of more than 5 MB. Make it simpler, or a picture of it')
  const data =
    type === PICTURES['.svg']
      ? await dataAddress(new Blob([await cleanSvg(file)]), type)
      : await dataAddress(file, type)
  const image = new Image()
  image.src = data
  await image.decode().catch(() => {
    throw new FileProblem('it is not a picture, or it is damaged')
  })
  return { kind: 'picture', data }
}

/** An SVG without scripts, handlers or anything fetched from elsewhere. */
async function cleanSvg(file: File): Promise<string> {
  const { default: purify } = await import('dompurify')
  const text = await file.text()
  const clean = purify.sanitize(text, { USE_PROFILES: { svg: true, svgFilters: true } })
  if (!clean.includes('<svg')) throw new FileProblem('it is not a picture, or it is damaged')
  return clean.includes('xmlns=')
    ? clean
    : clean.replace('<svg', '<svg xmlns="http://www.w3.org/2000/svg"')
}

const dataAddress = (blob: Blob, type: string): Promise<string> =>
  addressOf(new Blob([blob], { type })).catch(() => {
    throw new FileProblem('it cannot be read')
  })
