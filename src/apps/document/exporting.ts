import { counted } from '@/core/text/counted'
import { blobOf } from '@/parts/dataAddress'
import { addDocument } from '@/store/documents/adding'
import { allDocuments } from '@/store/documents/catalogue'
import { peekContent, shownContent } from '@/store/documents/documents'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import type { Working } from '@/store/working'
import { asContent } from '../contents'
import { FileProblem } from '../contract'
import { bytesOf, readTextFile } from '../encoding'
import { READER } from '../reader/content'
import { reader } from '../reader/manifest'
import type { DocumentContent } from './content'
import { PackProblem, type Pictured, packed, picturesIn, unpacked } from './packing'

/** A document with the pictures it shows; null where it shows none. */
export async function packDocument(
  { markdown, encoding }: DocumentContent,
  title: string,
  shelf: Shelf,
): Promise<{ file: Blob; extension: string; says?: string } | null> {
  const ids = picturesIn(markdown)
  if (ids.length === 0) return null
  const known = await allDocuments(shelf)
  const pictures = new Map<string, Pictured>()
  for (const id of ids) {
    const kept = await peekContent(shelf, id).catch(expected('it is told as missing', null))
    const content = kept && asContent(READER, shownContent(kept))
    if (content?.kind !== 'picture') continue
    const bytes = new Uint8Array(await blobOf(content.data).arrayBuffer())
    pictures.set(id, {
      name: `${known[id]?.title ?? 'picture'}${reader.extension?.(content) ?? ''}`,
      bytes,
    })
  }
  const zip = packed({ name: title, markdown, bytes: (text) => bytesOf(text, encoding) }, pictures)
  const missing = ids.length - pictures.size
  return {
    file: new Blob([zip as BlobPart], { type: 'application/zip' }),
    extension: '.zip',
    ...(missing > 0 && {
      says: `Missing: ${counted(missing, 'picture')} that can’t be read or was deleted`,
    }),
  }
}

/** A document from a ZIP; its pictures become documents of their own. */
export async function unpackDocument(file: File, working: Working): Promise<DocumentContent> {
  const take = async ({ name, bytes }: Pictured): Promise<string | null> => {
    const picture = new File([bytes as BlobPart], name)
    const content = await reader
      .read?.(picture, working)
      .catch(expected('it stays as written', null))
    if (working.signal.aborted || !content || !('kind' in content) || content.kind !== 'picture')
      return null
    const title = name.replace(/\.\w+$/, '') || name
    return addDocument(working.shelf, { app: 'reader', title }, content)
  }
  try {
    const { bytes, put } = await unpacked(new Uint8Array(await file.arrayBuffer()), take)
    const { text, ...written } = await readTextFile(new Blob([bytes as BlobPart]))
    return { markdown: await put(text), ...written }
  } catch (error) {
    throw error instanceof PackProblem ? new FileProblem(error.message) : error
  }
}
