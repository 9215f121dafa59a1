import { array, number, object } from 'yup'
import { type Contents, count, data, text } from '../contents'

/** A file of the person's own, as a data address. */
export interface AudioFileContent {
  name: string
  data: string
  /** Length in seconds. */
  length: number
  /** Its parts, where the file tells them. */
  chapters?: Chapter[]
}

export interface Chapter {
  title: string
  /** The second it begins at. */
  at: number
}

/** Content of a player: which tune, how loud, how far into it it was stopped, and own files. */
export interface PlayerContent {
  /** Counts through the tunes of the radio, then through the files. */
  tune: number
  volume: number
  at: number
  files?: AudioFileContent[]
  /** Where tunes come in no order: the seed of the order they come in. */
  shuffle?: number
  /** How fast files are played; 1 where it is not said. */
  speed?: number
}

/** How fast files may be played. */
export const SPEEDS = [0.75, 1, 1.25, 1.5, 2]

export const PLAYER: Contents<PlayerContent> = {
  shape: object({
    tune: count(),
    volume: number().min(0).max(1).required(),
    at: number().min(0).max(1e9).required(),
    files: array(
      // How long a stream lasts is not known.
      object({
        name: text(),
        data: data(''),
        length: number().min(0).nullable(),
        chapters: array(
          object({ title: text(), at: number().min(0).required() }).required(),
        ).default(undefined),
      }).required(),
    ),
    shuffle: number().integer().min(0),
    speed: number().oneOf(SPEEDS),
  }),
  empty: { tune: 0, volume: 0.6, at: 0 },
}
