import { seeded } from '@/core/insight/seeded'

interface Note {
  /** When it begins, in seconds from the start of the tune. */
  at: number
  /** How long it sounds, in seconds. */
  length: number
  /** Frequency in hertz. */
  hertz: number
}

export interface Tune {
  name: string
  /** Length in seconds. */
  length: number
  notes: Note[]
}

/** Steps of a scale of five tones above the root, in semitones. */
const SCALE = [0, 2, 4, 7, 9]

/** A tune that walks up and down a scale of five tones, made from a seed. */
function tune(name: string, seed: number, root: number, beat: number, beats: number): Tune {
  const next = seeded(seed)
  const notes: Note[] = []
  let step = 5
  for (let at = 0; at < beats; ) {
    const length = next() < 0.3 ? 2 : 1
    step = Math.max(0, Math.min(12, step + Math.round(next() * 4 - 2)))
    const semitones = (SCALE[step % 5] ?? 0) + 12 * Math.floor(step / 5)
    // One beat in eight is a rest.
    if (next() > 0.125)
      notes.push({
        at: at * beat,
        length: length * beat * 0.9,
        hertz: root * 2 ** (semitones / 12),
      })
    at += length
  }
  return { name, length: beats * beat, notes }
}

/** What the ridge radio plays. */
export const TUNES: Tune[] = [
  tune('Wind over Tarn Ridge', 7, 196, 0.42, 160),
  tune('Low Saddle, evening', 23, 164.8, 0.55, 128),
  tune('Hut lights', 41, 220, 0.36, 200),
]
