// Route handlers know the apps by way of the services only.
export { REPLY_MOST } from '@/apps/messages/protocol'

/** So many ids are remembered: who asks again does so within minutes. */
const KNOWN_MOST = 2000

// Route handlers are bundled apart: what they share lives on the global object.
const shared = globalThis as unknown as { kiteReplies?: Set<string> }
shared.kiteReplies ??= new Set()
const known = shared.kiteReplies

/** @returns whether a reply of that id comes for the first time */
export function take(id: string): boolean {
  if (known.has(id)) return false
  known.add(id)
  if (known.size > KNOWN_MOST) known.delete(known.values().next().value ?? '')
  return true
}
