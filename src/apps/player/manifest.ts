import { Radio } from 'lucide-react'
import type { AppManifest } from '../contract'

/** Content of a player: which tune, how loud, and how far into it it was stopped. */
export interface PlayerContent {
  tune: number
  volume: number
  at: number
}

export const player: AppManifest = {
  id: 'player',
  name: 'Player',
  plural: 'players',
  untitled: 'Player',
  glyph: Radio,
  width: 340,
  height: 280,
  limits: { minWidth: 280, minHeight: 220 },
  opens: [],
  drafts: false,
  load: () => import('./Player'),
}
