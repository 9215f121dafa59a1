import { Calculator } from 'lucide-react'
import type { AppManifest } from '../contract'
import { SUMS, type SumsContent } from './content'

export const sums: AppManifest<SumsContent> = {
  id: 'sums',
  name: 'Calculator',
  plural: 'calculators',
  untitled: 'Sums',
  glyph: Calculator,
  width: 320,
  height: 260,
  limits: { minWidth: 220, minHeight: 120 },
  opens: [],
  extension: () => '.txt',
  drafts: false,
  contents: SUMS,
  keys: [['Ctrl+Enter', 'copy the result of the line']],
  load: () => import('./Sums'),
  write: ({ text }) => new Blob([text], { type: 'text/plain' }),
}
