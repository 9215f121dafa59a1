import { Globe } from 'lucide-react'
import type { AppManifest } from '../contract'
import { UNTITLED, WEB, type WebContent } from './content'

export const web: AppManifest<WebContent | null> = {
  id: 'web',
  name: 'Web page',
  plural: 'web pages',
  untitled: UNTITLED,
  glyph: Globe,
  width: 640,
  height: 480,
  limits: { minWidth: 320, minHeight: 240 },
  opens: [],
  drafts: false,
  contents: WEB,
  keys: [
    ['Down', 'give the keys to the page'],
    ['PageUp', 'back'],
    ['PageDown', 'forward'],
  ],
  load: () => import('./WebPage'),
}
