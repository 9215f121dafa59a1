import { Keyboard } from 'lucide-react'
import type { AppManifest } from '../contract'

export const keycard: AppManifest = {
  id: 'keycard',
  name: 'Key card',
  plural: 'key cards',
  untitled: 'Key card',
  glyph: Keyboard,
  width: 420,
  height: 620,
  limits: { minWidth: 260, minHeight: 200 },
  opens: [],
  drafts: false,
  unlisted: true,
  load: () => import('./KeyCardWindow'),
}
