import { useState } from 'react'
import type { Message } from './content'

/** So much of a message is drawn until one wants all of it, in characters. */
const SHOWN = 4000

export function Said({
  message: { by, text, at, mention, waiting, failed },
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
        {failed ? `Not sent: ${failed}` : waiting ? 'Waiting' : clock(at)}
      </span>
      {failed || (waiting && by === 'me') ? (
        <span className="mt-1 flex gap-2 text-[12px]">
          {failed ? (
            <button type="button" className="underline" onClick={onRetry}>
              Retry
            </button>
          ) : null}
          <button type="button" className="underline" onClick={onEdit}>
            Edit
          </button>
          <button type="button" className="underline" onClick={onDelete}>
            Delete
          </button>
        </span>
      ) : null}
    </div>
  )
}

const CLOCK = new Intl.DateTimeFormat([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
const clock = (at: number): string => CLOCK.format(at)
