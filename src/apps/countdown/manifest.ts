import { Timer } from 'lucide-react'
import { object } from 'yup'
import { byKind, flag, moment } from '../contents'
import type { AppManifest } from '../contract'

export const countdown: AppManifest = {
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
  content: byKind({
    idle: object(),
    running: object({ until: moment(), of: moment(), told: flag() }),
    paused: object({ left: moment(), of: moment() }),
  }),
  load: () => import('./Countdown'),
}
