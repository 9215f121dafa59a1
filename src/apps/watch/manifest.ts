import { Eye } from 'lucide-react'
import type { AppManifest } from '../contract'
import { WATCH, type WatchContent } from './content'

export const watch: AppManifest<WatchContent> = {
  id: 'watch',
  name: 'Watched window',
  plural: 'watched windows',
  untitled: 'Watched window',
  glyph: Eye,
  width: 480,
  height: 380,
  limits: { minWidth: 300, minHeight: 240 },
  opens: [],
  worksUnseen: true,
  drafts: false,
  unlisted: true,
  contents: WATCH,
  load: () => import('./Watch'),
}
