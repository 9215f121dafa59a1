import { asPressed } from '@/core/keys/sets'
import { jot, jotted } from '@/store/jotted'
import { marksOf } from '@/store/opening/aside'
import type { Shelf } from '@/store/shelf'

/** Which chords mean something else than they did, noted once for a browser. */
const NOTED = 'kite-shelf-chords'

/** What a chord did before, and what does it now. */
const MOVED: Readonly<Record<string, [did: string, now: string]>> = {
  'Alt+]': ['go to the next desktop', 'Alt+.'],
  'Alt+[': ['go to the previous desktop', 'Alt+,'],
  'Alt+=': ['make a desktop', 'Alt+N'],
  'Alt+,': ['send a window', 'Alt+]'],
  'Alt+.': ['unstack', 'Alt+='],
  'Alt+-': ['minimise a window', "Alt+'"],
  "Alt+'": ['glance at a desktop', 'Alt+['],
}

/** Where a shelf was kept before the chords moved, they have to be learnt anew. */
export function beginRelearning(name: string): void {
  if (jotted('localStorage', NOTED) !== null) return
  const known = marksOf(name).kept === true
  jot('localStorage', NOTED, known ? Object.keys(MOVED).join(' ') : '')
}

/** Says once for each chord that means something else now what does what it did. */
export function tellMoved(shelf: Shelf, stroke: string): void {
  const left = jotted('localStorage', NOTED)?.split(' ') ?? []
  const [did, now] = MOVED[stroke] ?? []
  if (!did || !now || !left.includes(stroke)) return
  jot('localStorage', NOTED, left.filter((one) => one !== stroke).join(' '))
  const state = shelf.state()
  // After what the chord itself says.
  setTimeout(() => shelf.say(`${asPressed(now, state)} is now the key to ${did}`), 0)
}
