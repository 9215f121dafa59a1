import { FileText } from 'lucide-react'
import { isLong } from '@/parts/longParts'
import { type AppManifest, OpensIn } from '../contract'
import { bytesOf, readTextFile } from '../encoding'
import { DOCUMENT, type DocumentContent, UNTITLED } from './content'

export const document: AppManifest<DocumentContent> = {
  id: 'document',
  name: 'Document',
  plural: 'documents',
  untitled: UNTITLED,
  glyph: FileText,
  width: 480,
  height: 520,
  limits: { minWidth: 260, minHeight: 180 },
  opens: ['.md', '.markdown', '.zip'],
  extension: () => '.md',
  contents: DOCUMENT,
  drafts: true,
  keys: [
    ['Ctrl+F', 'find and replace'],
    ['Ctrl+K', 'link to an address or a document'],
    ['Ctrl+Shift+G', 'go to a heading'],
    ['Ctrl+Shift+1', 'heading; 2 and 3 are smaller, 0 is plain text'],
    ['Ctrl+B', 'bold'],
    ['Ctrl+I', 'italic'],
    ['Ctrl+E', 'code'],
    ['Ctrl+Shift+8', 'list; 7 numbered, 9 tasks'],
    ['Ctrl+P', 'print'],
  ],
  load: () => import('./Document'),
  read: async (file, working) => {
    if (/\.zip$/i.test(file.name))
      return (await import('./exporting')).unpackDocument(file, working)
    const { text: markdown, ...written } = await readTextFile(file)
    if (isLong(markdown))
      return new OpensIn(
        'reader',
        { kind: 'text', text: markdown, ...written },
        'it is too long to be edited here, so it is shown as it is',
      )
    return { markdown, ...written }
  },
  write: ({ markdown, encoding }) =>
    new Blob([bytesOf(markdown, encoding)], { type: 'text/markdown' }),
  packs: async (content, title, shelf) =>
    (await import('./exporting')).packDocument(content, title, shelf),
}
