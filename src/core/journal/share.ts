import type { JournalEvent } from './events'

/** What a person does; looking away and coming back is not. */
const DEEDS = new Set(['switch', 'send', 'carry', 'focus', 'open', 'close', 'undo', 'redo'])

/** How much of what was done was done by keyboard. */
export function shareByKey(events: readonly JournalEvent[]): { byKey: number; all: number } {
  let byKey = 0
  let all = 0
  for (const { kind, by } of events) {
    if (!DEEDS.has(kind) || (by !== 'key' && by !== 'pointer')) continue
    all++
    if (by === 'key') byKey++
  }
  return { byKey, all }
}
