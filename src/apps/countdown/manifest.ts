import { Timer } from 'lucide-react'
import type { AppManifest } from '../contract'
import { COUNTDOWN, type CountdownContent } from './content'

export const countdown: AppManifest<CountdownContent> = {
  id: 'countdown',
  name: 'Countdown',
  plural: 'countdowns',
  untitled: 'Countdown',
  glyph: Timer,
  width: 280,
  height: 180,
  limits: { minWidth: 240, minHeight: 170, maxWidth: 420, maxHeight: 280 },
  opens: [],
  worksUnseen: true,
  drafts: false,
  contents: COUNTDOWN,
  keys: [
    ['Enter', 'start what is typed'],
    ['Ctrl+Enter', 'start another countdown'],
  ],
  load: () => import('./Countdown'),
}
