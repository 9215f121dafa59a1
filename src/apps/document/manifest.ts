import { FileText } from 'lucide-react'
import { LONG } from '@/ui/parts/longParts'
import { type AppManifest, FileProblem, OpensIn } from '../contract'

/** Content of a document: Markdown. */
export interface DocumentContent {
  markdown: string
}

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
  drafts: true,
  load: () => import('./Document'),
  read: async (file) => {
    const markdown = await file.text()
    if (markdown.includes('\0')) throw new FileProblem('it is not text')
    if (markdown.length > LONG)
      return new OpensIn(
        'reader',
        { kind: 'text', text: markdown },
        'it is too long to be edited here, so it is shown as it is',
      )
    return { markdown } satisfies DocumentContent
  },
  write: (content) =>
    new Blob([(content as DocumentContent | null)?.markdown ?? ''], { type: 'text/markdown' }),
}
