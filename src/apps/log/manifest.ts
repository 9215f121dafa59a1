import { NotebookText } from 'lucide-react'
import type { AppManifest } from '../contract'
import { LOG, type LogContent } from './content'

export const log: AppManifest<LogContent> = {
  id: 'log',
  name: 'Log',
  plural: 'logs',
  untitled: 'Log',
  glyph: NotebookText,
  width: 900,
  height: 560,
  limits: { minWidth: 360, minHeight: 240 },
  opens: [],
  drafts: false,
  unlisted: true,
  contents: LOG,
  keys: [
    [',', 'the days before'],
    ['.', 'the days after'],
  ],
  load: () => import('./LogWindow'),
}
