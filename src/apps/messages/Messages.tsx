'use client'
import { MailQuestionMark, Search, Trash2 } from 'lucide-react'
import { Fragment, type KeyboardEvent, useEffect, useRef, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { counted } from '@/core/text/counted'
import { FindIn } from '@/parts/FindIn'
import { asksToFind } from '@/parts/finding'
import { Tool } from '@/parts/Tool'
import { useInSight } from '@/parts/useInSight'
import { changeContent, useTyped } from '@/store/documents/documents'
import { usePassage } from '@/store/documents/passages'
import { newId } from '@/store/newId'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import { useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { shownNow, useShownContent } from '../useContents'
import { serviceSpeed, useService } from '../useService'
import { MESSAGES, type Message, type MessagesContent, type Thread } from './content'
import { type Incoming, REPLY_MOST } from './protocol'
import { keepSending } from './sending'
import {
  begun,
  markRead,
  markUnread,
  mentioned,
  receive,
  reply,
  unread,
  withMessage,
  withoutThread,
  written,
} from './threads'

/** The name under which it is kept which thread is open; threads have ids of their own. */
const OPEN = 'open thread'

/** Threads with people outside: read, answered, told when one is asked for. */
export default function Messages({ document: id, window }: AppProps) {
  const shelf = useShelf()
  // Which thread is open is kept like what is half-typed.
  const [chosen, setChosen] = useTyped(id, OPEN)
  const seen = useSeen(window)
  const content = useShownContent(MESSAGES, id)
  // Two things may happen before the next drawing: each starts from what is there by then.
  const change = (to: (now: MessagesContent) => MessagesContent) => {
    const now = shownNow(shelf, MESSAGES, id)
    const next = to(now)
    if (next !== now) changeContent(shelf, id, next, 'saved')
  }
  const connection = useService<Incoming>(
    content ? id : null,
    () => {
      const { received } = shownNow(shelf, MESSAGES, id)
      return { service: 'messages', seed: 2, after: received, speed: serviceSpeed() }
    },
    (incoming) => change((now) => receive(now, incoming, shelf.clock())),
  )
  const say = (thread: string, text: string) =>
    change((was) =>
      markRead(reply(was, thread, written(text, newId('message'), shelf.clock())), thread),
    )
  const open = content?.threads.find((thread) => thread.id === chosen) ?? content?.threads[0]
  // What was marked unread by hand stays so until it is opened again.
  const held = useRef<string | null>(null)
  const choose = (thread: string) => {
    held.current = null
    setChosen(thread)
  }
  const waits = content?.threads.some((thread) => thread.messages.some(({ waiting }) => waiting))
  // What waits goes out when the service is heard again.
  useEffect(
    () => (connection === 'heard' && waits ? keepSending(shelf, id) : undefined),
    [connection, waits, id, shelf],
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: a thread is read when it is seen
  useEffect(() => {
    if (!seen || !open || !unread(open) || held.current === open.id) return
    change((now) => markRead(now, open.id))
  }, [seen, open])
  useEffect(() => {
    if (!content) return
    const asking = content.threads.find(mentioned)
    const count = content.threads.reduce((sum, thread) => sum + unread(thread), 0)
    const attention = asking ? 'mention' : count ? 'info' : null
    const says = asking ? `${asking.who} asks for you` : count ? `${count} unread` : undefined
    report(shelf, id, { attention, ...(says && { says }) })
  }, [content, id, shelf])
  const waiting =
    content?.threads.find(mentioned) ?? content?.threads.find((one) => unread(one) > 0)
  const last = waiting?.messages.at(-1)
  useTether(
    id,
    waiting
      ? {
          says: `${waiting.who}: ${last?.text ?? ''}`,
          offered: true,
          controls: [],
          replies: { to: waiting.who, typed: waiting.id, most: REPLY_MOST },
        }
      : null,
    (control, text = '', thread = '') => {
      // To whom it was begun, whoever asks by now.
      if (control === 'reply') say(thread, text)
    },
  )
  // The thread it stands in is opened; there it is then found like in any text.
  usePassage(id, (text) => {
    const sought = text.toLowerCase()
    const has = ({ text: said }: Message) => said.toLowerCase().includes(sought)
    if (open?.messages.some(has)) return false
    const thread = content?.threads.find(({ messages }) => messages.some(has))
    if (thread) choose(thread.id)
    return false
  })
  if (!content) return null
  const step = (by: number) => {
    const { threads } = content
    const at = open ? threads.indexOf(open) : 0
    const to = threads[(at + by + threads.length) % Math.max(1, threads.length)]
    if (to) choose(to.id)
  }
  return (
    <div className="flex min-h-0 flex-1">
      <Threads
        threads={content.threads}
        open={open}
        onOpen={choose}
        onStart={(who) => {
          const thread = newId('thread')
          change((now) => begun(now, thread, who))
          choose(thread)
        }}
      />
      <div className="flex min-w-0 flex-1 flex-col">
        {connection === 'lost' ? (
          <p role="alert" className="border-seam border-b border-dashed px-3 py-1.5 text-alarm">
            Connection lost. Retrying; your text is kept and will be sent.
          </p>
        ) : null}
        {open ? (
          <Talk
            key={open.id}
            document={id}
            thread={open}
            onStep={step}
            onSay={(text) => say(open.id, text)}
            onChange={(message, to) => change((now) => withMessage(now, message, to))}
            onUnread={() => {
              held.current = open.id
              change((now) => markUnread(now, open.id))
            }}
            onDelete={() => change((now) => withoutThread(now, open.id))}
          />
        ) : (
          <p className="m-auto p-4 text-soft">Nobody has written yet.</p>
        )}
      </div>
    </div>
  )
}

function Threads({
  threads,
  open,
  onOpen,
  onStart,
}: {
  threads: Thread[]
  open: Thread | undefined
  onOpen(id: string): void
  /** Begins to write to somebody. */
  onStart(who: string): void
}) {
  return (
    <nav
      aria-label="Threads"
      className="flex w-40 shrink-0 flex-col overflow-auto border-seam border-r"
    >
      {threads.map((thread) => (
        <Entry key={thread.id} thread={thread} open={thread === open} onOpen={onOpen} />
      ))}
      <StartThread onStart={onStart} />
    </nav>
  )
}

function StartThread({ onStart }: { onStart(who: string): void }) {
  const [who, setWho] = useState('')
  return (
    <form
      className="mt-auto p-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (!who.trim()) return
        onStart(who.trim())
        setWho('')
      }}
    >
      <input
        aria-label="Write to somebody new"
        placeholder="write to…"
        maxLength={80}
        className="field min-h-7 w-full"
        value={who}
        onChange={(event) => setWho(event.target.value)}
      />
    </form>
  )
}

function Entry({
  thread,
  open,
  onOpen,
}: {
  thread: Thread
  open: boolean
  onOpen(id: string): void
}) {
  const button = useInSight<HTMLButtonElement>(open)
  const { id, who } = thread
  return (
    <button
      ref={button}
      type="button"
      aria-current={open ? 'true' : undefined}
      className="flex w-full items-center gap-2 px-3 py-2 text-left aria-[current]:bg-ink/8 aria-[current]:font-semibold"
      // The keys stay with the reply, that of the thread that is opened.
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => onOpen(id)}
    >
      <span dir="auto" title={who} className="min-w-0 flex-1 truncate text-left">
        {who}
      </span>
      {mentioned(thread) ? <b className="font-mono text-alarm">!</b> : null}
      {unread(thread) ? (
        <span className="shrink-0 font-mono text-[12px]">{unread(thread)} new</span>
      ) : null}
    </button>
  )
}

function Talk({
  document,
  thread,
  onSay,
  onChange,
  onUnread,
  onDelete,
  onStep,
}: {
  document: DocumentId
  thread: Thread
  onSay(text: string): void
  /** Puts another in the place of a message, or takes it away. */
  onChange(message: Message, to: Message | null): void
  onUnread(): void
  /** Takes the whole thread away. */
  onDelete(): void
  onStep(by: number): void
}) {
  const [finding, setFinding] = useState(false)
  const [typed, setTyped] = useTyped(document, thread.id)
  const over = typed.trim().length - REPLY_MOST
  const log = useRef<HTMLDivElement>(null)
  const count = thread.messages.length
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new message is the reason to scroll
  useEffect(() => {
    log.current?.scrollTo(0, log.current.scrollHeight)
  }, [count])
  const say = () => {
    if (!typed.trim() || over > 0) return
    onSay(typed.trim())
    setTyped('')
  }
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.nativeEvent.isComposing) return
    if (asksToFind(event)) setFinding(true)
    else if (event.key === 'Enter' && !event.shiftKey) say()
    else if (event.key === 'PageDown') onStep(1)
    else if (event.key === 'PageUp') onStep(-1)
    else return
    event.preventDefault()
  }
  const days = thread.messages.map(({ at }) => DAY.format(at))
  return (
    <>
      <div role="toolbar" aria-label="Thread" className="bar">
        <span dir="auto" className="min-w-0 truncate font-semibold">
          {thread.who}
        </span>
        <span className="ml-auto flex">
          <Tool label="Find in this thread" keys="Ctrl+F" onClick={() => setFinding(true)}>
            <Search size={15} />
          </Tool>
          <Tool label="Mark as unread" disabled={!count || unread(thread) > 0} onClick={onUnread}>
            <MailQuestionMark size={15} />
          </Tool>
          <DeleteThread onDelete={onDelete} />
        </span>
      </div>
      {finding ? (
        <FindIn
          within={log}
          anew={count}
          label="Find in this thread"
          onClose={() => setFinding(false)}
        />
      ) : null}
      <div
        ref={log}
        role="log"
        aria-label={`Messages with ${thread.who}`}
        tabIndex={0}
        onKeyDown={(event) => {
          if (!asksToFind(event)) return
          event.preventDefault()
          setFinding(true)
        }}
        className="flex min-h-0 flex-1 flex-col gap-2 overflow-auto p-3 text-[15px]"
      >
        {thread.messages.map((message, index) => (
          <Fragment key={message.id ?? `${message.at} ${index}`}>
            {days[index] === days[index - 1] ? null : (
              <p className="self-center text-[12px] text-soft">{days[index]}</p>
            )}
            <Said
              message={message}
              onRetry={() => onChange(message, { ...message, failed: undefined, waiting: true })}
              onEdit={() => {
                onChange(message, null)
                setTyped(typed.trim() ? `${message.text}\n${typed}` : message.text)
              }}
              onDelete={() => onChange(message, null)}
            />
          </Fragment>
        ))}
      </div>
      {over > 0 ? (
        <p role="alert" className="border-seam border-t border-dashed px-3 py-1 text-alarm">
          {counted(over, 'letter')} too many: a reply has {REPLY_MOST} at most.
        </p>
      ) : null}
      <div className="flex items-end gap-2 border-seam border-t p-2">
        <textarea
          data-autofocus=""
          aria-label={`Reply to ${thread.who}`}
          title="Enter sends, Shift+Enter starts a line"
          rows={Math.min(6, typed.split('\n').length)}
          className="field field-sizing-content max-h-36 min-h-8 min-w-0 flex-1 resize-none py-1 text-[15px] leading-snug"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={keys}
        />
        <button type="button" className="btn" onClick={say}>
          Reply <span className="key">Enter</span>
        </button>
      </div>
    </>
  )
}

/** Deleting is asked about once more: it is for good. */
function DeleteThread({ onDelete }: { onDelete(): void }) {
  const [asks, setAsks] = useState(false)
  return asks ? (
    <button
      type="button"
      className="tool text-alarm"
      // biome-ignore lint/a11y/noAutofocus: it was asked for
      autoFocus
      onBlur={() => setAsks(false)}
      onClick={onDelete}
    >
      Delete for good
    </button>
  ) : (
    <Tool label="Delete this thread" onClick={() => setAsks(true)}>
      <Trash2 size={14} />
    </Tool>
  )
}

/** So much of a message is drawn until one wants all of it, in characters. */
const SHOWN = 4000

function Said({
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
const DAY = new Intl.DateTimeFormat([], { weekday: 'short', day: 'numeric', month: 'short' })
