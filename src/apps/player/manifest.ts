import { Radio } from 'lucide-react'
import { type AppManifest, FileProblem } from '../contract'
import { PLAYER, type PlayerContent } from './content'

export const player: AppManifest<PlayerContent> = {
  id: 'player',
  name: 'Player',
  plural: 'players',
  untitled: 'Player',
  glyph: Radio,
  width: 340,
  height: 320,
  limits: { minWidth: 280, minHeight: 220 },
  opens: ['.mp3', '.ogg', '.oga', '.opus', '.wav', '.m4a', '.flac'],
  worksUnseen: true,
  drafts: false,
  contents: PLAYER,
  keys: [
    ['Space', 'play or pause'],
    ['PageDown', 'next tune; PageUp the previous one'],
    ['X', 'shuffle'],
    ['Shift+Down', 'move a file down; with ↑ up'],
    ['Right', '5 seconds on; ← back'],
  ],
  load: () => import('./Player'),
  read: async (file) => {
    const [{ readAudio }, { TUNES }] = await Promise.all([import('./files'), import('./tunes')])
    const read = await readAudio(file).catch(() => {
      throw new FileProblem('this browser can’t play it, or it is damaged')
    })
    return { ...PLAYER.empty, tune: TUNES.length, files: [read] }
  },
}
