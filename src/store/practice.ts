/** The rounds that were practised, kept in this browser for whoever sits at it. */

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
  try {
    const read: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(read) ? (read as Practised[]).filter(({ median }) => median > 0) : []
  } catch {
    return []
  }
}

export function keepRound(round: Practised): void {
  try {
    localStorage.setItem(KEY, JSON.stringify([...practised(), round].slice(-MOST)))
  } catch {
    // Without room for it the round was practised all the same.
  }
}
