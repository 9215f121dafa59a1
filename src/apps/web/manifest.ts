import { Globe } from 'lucide-react'
import { array, object } from 'yup'
import { flag, text } from '../contents'
import type { AppManifest } from '../contract'

/** Content of a web page window: the addresses it was at, the present one last. */
export interface WebContent {
  visited: string[]
  /** Whether it is shown in a browser window of its own, because the person prefers it so. */
  outside?: boolean
}

export const web: AppManifest = {
  id: 'web',
  name: 'Web page',
  plural: 'web pages',
  untitled: 'Web page',
  glyph: Globe,
  width: 640,
  height: 480,
  limits: { minWidth: 320, minHeight: 240 },
  opens: [],
  drafts: false,
  content: object({ visited: array(text()).required(), outside: flag() }),
  load: () => import('./WebPage'),
}
