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
  keys: [
    ['Down', 'next file; ↑ the one before'],
    ['Enter', 'open it, or go there'],
    ['Ctrl+Enter', 'mark several'],
  ],
  load: () => import('./Drawer'),
}
