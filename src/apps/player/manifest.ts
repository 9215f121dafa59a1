import { Radio } from 'lucide-react'
import { array, number, object } from 'yup'
import { count, data, text } from '../contents'
import { type AppManifest, FileProblem } from '../contract'

/** A file of the person's own, as a data address. */
export interface AudioFileContent {
  name: string
  data: string
  /** Length in seconds. */
  length: number
}

/** Content of a player: which tune, how loud, how far into it it was stopped, and own files. */
export interface PlayerContent {
  /** Counts through the tunes of the radio, then through the files. */
  tune: number
  volume: number
  at: number
  files?: AudioFileContent[]
}

export const player: AppManifest = {
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
  content: object({
    tune: count(),
    volume: number().min(0).max(1).required(),
    at: number().min(0).max(1e9).required(),
    files: array(
      // How long a stream lasts is not known.
      object({ name: text(), data: data(''), length: number().min(0).nullable() }).required(),
    ),
  }),
  load: () => import('./Player'),
  read: async (file): Promise<PlayerContent> => {
    const [{ readAudio }, { TUNES }] = await Promise.all([import('./files'), import('./tunes')])
    const read = await readAudio(file).catch(() => {
      throw new FileProblem('this browser can’t play it, or it is damaged')
    })
    return { tune: TUNES.length, volume: 0.6, at: 0, files: [read] }
  },
}
