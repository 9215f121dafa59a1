import { Archive } from 'lucide-react'
import type { AppManifest } from '../contract'

export const drawer: AppManifest = {
  id: 'drawer',
  name: 'Drawer',
  plural: 'drawers',
  untitled: 'Drawer',
  glyph: Archive,
  width: 600,
  height: 420,
  limits: { minWidth: 380, minHeight: 240 },
  opens: [],
  drafts: false,
  load: () => import('./Drawer'),
}
