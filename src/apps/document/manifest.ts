import { FileText } from 'lucide-react'
import { object, string } from 'yup'
import { isLong } from '@/ui/parts/longParts'
import { text } from '../contents'
import { type AppManifest, OpensIn } from '../contract'
import { bytesOf, readTextFile } from '../encoding'

/** Content of a document: Markdown. */
export interface DocumentContent {
  markdown: string
  /** How its file was written, where that was not plain UTF-8. */
  encoding?: string
}

/** How many pictures a text shows that are documents of the shelf. */
const picturesIn = (markdown: string): number => markdown.match(/!\[[^\]]*\]\(kite:/g)?.length ?? 0

export const document: AppManifest = {
  id: 'document',
  name: 'Document',
  plural: 'documents',
  untitled: 'New document',
  glyph: FileText,
  width: 480,
  height: 520,
  limits: { minWidth: 260, minHeight: 180 },
  opens: ['.md', '.markdown'],
  extension: '.md',
  content: object({ markdown: text(), encoding: string() }),
  drafts: true,
  load: () => import('./Document'),
  read: async (file) => {
    const { text: markdown, ...written } = await readTextFile(file)
    if (isLong(markdown))
      return new OpensIn(
        'reader',
        { kind: 'text', text: markdown, ...written },
        'it is too long to be edited here, so it is shown as it is',
      )
    return { markdown, ...written } satisfies DocumentContent
  },
  write: (content) => {
    const { markdown = '', encoding } = (content as DocumentContent | null) ?? {}
    return new Blob([bytesOf(markdown, encoding)], { type: 'text/markdown' })
  },
  leavesOut: (content) => {
    const count = picturesIn((content as DocumentContent | null)?.markdown ?? '')
    if (count === 0) return null
    return `${count === 1 ? '1 picture of the shelf is' : `${count} pictures of the shelf are`} not in the file. Export the desktop to keep pictures with it`
  },
}
