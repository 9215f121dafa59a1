import type { Shelf } from '@/store/shelf'

/** Whether a command would do something now, if only to ask for more. */
export function isPossible(shelf: Shelf, id: string, args: object = {}): boolean {
  const { session } = shelf.page.getState()
  const { display } = session.state
  const ran = { n: 0, id, args, by: 'key' as const, now: shelf.clock(), ids: [], display }
  const outcome = shelf.runOn(session, ran)
  return outcome.ok || outcome.ask !== undefined
}
