import { useEffect, useState } from 'react'
import { useShelf } from '@/store/useShelf'
import type { Message } from './content'
import { Files } from './Files'
import { heldFor } from './sending'

/** So much of a message is drawn until one wants all of it, in characters. */
const SHOWN = 4000

export function Said({
  message,
  onRetry,
  onEdit,
  onDelete,
}: {
  message: Message
  onRetry(): void
  onEdit(): void
  onDelete(): void
}) {
  const [whole, setWhole] = useState(false)
  const { by, text, at, mention, waiting, failed, files } = message
  const held = useHeld(message)
  const cut = !whole && text.length > SHOWN
  return (
    <div
      className={`max-w-[85%] border px-2.5 py-1.5 ${
        by === 'me' ? 'self-end border-ink' : 'self-start border-seam'
      } ${mention || failed ? 'border-l-4 border-l-alarm' : ''}`}
    >
      <span className="whitespace-pre-wrap break-words">{cut ? text.slice(0, SHOWN) : text}</span>
      {cut ? (
        <button type="button" className="ml-1 underline" onClick={() => setWhole(true)}>
          …{text.length - SHOWN} more letters
        </button>
      ) : null}
      <span className="ml-2 text-[12px] text-soft">
        {failed ? `Not sent: ${failed}` : held ? 'Sending' : waiting ? 'Waiting' : clock(at)}
      </span>
      {files ? <Files files={files} /> : null}
      {failed || (waiting && by === 'me') ? (
        <span className="mt-1 flex gap-2 text-[12px]">
          {failed ? (
            <button type="button" className="underline" onClick={onRetry}>
              Retry
            </button>
          ) : null}
          <button type="button" className="underline" onClick={onEdit}>
            {held ? 'Undo' : 'Edit'}
          </button>
          <button type="button" className="underline" onClick={onDelete}>
            Delete
          </button>
        </span>
      ) : null}
    </div>
  )
}

/** Whether a message of one's own can still be taken back before it goes out. */
function useHeld(message: Message): boolean {
  const shelf = useShelf()
  const wait = message.waiting ? heldFor(shelf, message) : 0
  const [, look] = useState(0)
  useEffect(() => {
    if (wait === 0) return
    const timer = setTimeout(() => look((count) => count + 1), wait)
    return () => clearTimeout(timer)
  }, [wait])
  return wait > 0
}

const CLOCK = new Intl.DateTimeFormat([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
const clock = (at: number): string => CLOCK.format(at)
