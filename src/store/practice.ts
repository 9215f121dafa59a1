/** The rounds that were practised, kept in this browser for whoever sits at it. */

import { jot, jottedJson } from './jotted'

export interface Practised {
  /** Milliseconds since 1970. */
  at: number
  /** The median of a round, in milliseconds. */
  median: number
}

const KEY = 'kite-shelf-practice'
/** How many rounds are kept. */
const MOST = 50

export function practised(): Practised[] {
  const read = jottedJson('localStorage', KEY)
  return Array.isArray(read) ? (read as Practised[]).filter((one) => one?.median > 0) : []
}

export function keepRound(round: Practised): void {
  jot('localStorage', KEY, JSON.stringify([...practised(), round].slice(-MOST)))
}
