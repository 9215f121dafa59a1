import { changeContent } from '@/store/documents/documents'
import { newId } from '@/store/newId'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { shownNow } from '../useContents'
import { serviceSpeed } from '../useService'
import { MESSAGES, type Message, type MessagesContent } from './content'
import { nextToSend, withMessage } from './threads'

/** After a fault it waits so long before it tries again, in milliseconds; longer each time. */
const WAITS = [500, 1000, 2000, 4000, 8000]

/** For so long what was sent can be taken back, in milliseconds. */
const HELD = 10_000

/** How much longer a message is held; it is the service's time. */
export const heldFor = (shelf: Shelf, { at }: Message): number =>
  Math.max(0, Math.min(HELD, at + HELD / serviceSpeed() - shelf.clock()))

const sending = ofShelf(() => new Map<string, { stopped: boolean }>())

/**
 * Sends what waits in a document of messages, one after the other in the order they were written. Each
 * is marked by the service's own answer: sent, or failed with why; what gets no answer is tried again.
 * @param hold whether each is held for a while, to be taken back; not when its window is shut
 * @returns how to stop
 */
export function keepSending(shelf: Shelf, id: string, hold = true): () => void {
  const before = sending(shelf).get(id)
  if (before) before.stopped = true
  const mine = { stopped: false }
  sending(shelf).set(id, mine)
  void (async () => {
    for (let tries = 0; !mine.stopped; ) {
      const next = nextToSend(content(shelf, id))
      if (!next) break
      const wait = hold ? heldFor(shelf, next) : 0
      if (wait > 0) {
        await new Promise((done) => setTimeout(done, wait))
        continue
      }
      // The same again is known by its id, should the answer get lost.
      const message = next.id ? next : named(shelf, id, next)
      const answer = await post(id, message)
      if (mine.stopped) break
      if (answer === 'again') {
        await new Promise((done) => setTimeout(done, WAITS[Math.min(tries++, WAITS.length - 1)]))
        continue
      }
      tries = 0
      mark(shelf, id, message, answer)
    }
    if (sending(shelf).get(id) === mine) sending(shelf).delete(id)
  })()
  return () => {
    mine.stopped = true
  }
}

const content = (shelf: Shelf, id: string): MessagesContent => shownNow(shelf, MESSAGES, id)

/** Written by an earlier version, it has no id yet. */
function named(shelf: Shelf, id: string, message: Message): Message {
  const known = { ...message, id: newId('message') }
  changeContent(shelf, id, withMessage(content(shelf, id), message, known), 'saved')
  return known
}

function mark(shelf: Shelf, id: string, message: Message, answer: 'sent' | { why: string }): void {
  const { waiting: _waiting, failed: _failed, ...rest } = message
  const after = answer === 'sent' ? rest : { ...rest, failed: answer.why }
  changeContent(shelf, id, withMessage(content(shelf, id), message, after), 'saved')
}

async function post(
  key: string,
  { id, text }: Message,
): Promise<'sent' | 'again' | { why: string }> {
  try {
    const body = JSON.stringify({ key, id, text })
    const answer = await fetch('/api/messages', { method: 'POST', body })
    if (answer.ok) return 'sent'
    // What the service does not take will not be taken the next time either.
    if (answer.status < 500 && answer.status !== 408 && answer.status !== 429)
      return { why: answer.status === 413 ? 'too long' : 'the service refused it' }
    return 'again'
  } catch {
    return 'again'
  }
}
