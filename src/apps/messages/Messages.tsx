'use client'
import { type KeyboardEvent, useEffect, useRef } from 'react'
import type { DocumentId } from '@/core/model/types'
import { changeContent, contentOf, shownContent, useContent, useTyped } from '@/store/documents'
import { report } from '@/store/reports'
import { useSeen } from '@/store/seen'
import type { Shelf } from '@/store/shelf'
import { useTether } from '@/store/tethers'
import { useShelf } from '@/store/useShelf'
import { useInSight } from '@/ui/parts/useInSight'
import type { AppProps } from '../contract'
import { serviceSpeed, useService } from '../useService'
import type { Incoming } from './protocol'
import {
  type MessagesContent,
  markRead,
  mentioned,
  NO_MESSAGES,
  receive,
  reply,
  sent,
  type Thread,
  unread,
} from './threads'

/** The name under which it is kept which thread is open; threads have ids of their own. */
const OPEN = 'open thread'

/** Threads with people outside: read, answered, told when one is asked for. */
export default function Messages({ document: id, window }: AppProps) {
  const shelf = useShelf()
  const kept = useContent(id)
  // Which thread is open is kept like what is half-typed.
  const [chosen, setChosen] = useTyped(id, OPEN)
  const seen = useSeen(window)
  const content = kept ? ((shownContent(kept) as MessagesContent | null) ?? NO_MESSAGES) : null
  // Two things may happen before the next drawing: each starts from what is there by then.
  const change = (to: (now: MessagesContent) => MessagesContent) => {
    const now = (contentOf(shelf, id) as MessagesContent | null) ?? NO_MESSAGES
    const next = to(now)
    if (next !== now) changeContent(shelf, id, next, 'saved')
  }
  const connection = useService<Incoming>(
    kept ? id : null,
    () => {
      const { received = 0 } = (contentOf(shelf, id) as MessagesContent | null) ?? NO_MESSAGES
      return { service: 'messages', seed: 2, after: received, speed: serviceSpeed() }
    },
    (incoming) => change((now) => receive(now, incoming, Date.now())),
  )
  const open = content?.threads.find((thread) => thread.id === chosen) ?? content?.threads[0]
  const waits = content?.threads.some((thread) => thread.messages.some(({ waiting }) => waiting))
  // biome-ignore lint/correctness/useExhaustiveDependencies: what waits goes out when it is heard again
  useEffect(() => {
    if (connection === 'heard' && waits)
      void sendWaiting(shelf, id).then((ok) => ok && change(sent))
  }, [connection, waits, id])
  // biome-ignore lint/correctness/useExhaustiveDependencies: a thread is read when it is seen
  useEffect(() => {
    if (!seen || !open || !unread(open)) return
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
          replies: { to: waiting.who, typed: waiting.id },
        }
      : null,
    (control, text = '') => {
      if (control !== 'reply' || !waiting) return
      change((was) =>
        markRead(
          reply(was, waiting.id, { by: 'me', text, at: Date.now(), waiting: true }),
          waiting.id,
        ),
      )
    },
  )
  if (!content) return null
  const step = (by: number) => {
    const { threads } = content
    const at = open ? threads.indexOf(open) : 0
    const to = threads[(at + by + threads.length) % Math.max(1, threads.length)]
    if (to) setChosen(to.id)
  }
  return (
    <div className="flex min-h-0 flex-1">
      <Threads threads={content.threads} open={open} onOpen={setChosen} />
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
            onSay={(text) =>
              change((now) =>
                reply(now, open.id, { by: 'me', text, at: Date.now(), waiting: true }),
              )
            }
          />
        ) : (
          <p className="m-auto p-4 text-soft">Nobody has written yet.</p>
        )}
      </div>
    </div>
  )
}

/** Sends what waits. Returns whether the service took it. */
async function sendWaiting(shelf: Shelf, id: string): Promise<boolean> {
  const { threads } = (contentOf(shelf, id) as MessagesContent | null) ?? NO_MESSAGES
  const texts = threads.flatMap(({ messages }) =>
    messages.flatMap(({ waiting, text }) => (waiting ? text : [])),
  )
  const answers = await Promise.all(
    texts.map((text) =>
      fetch('/api/messages', { method: 'POST', body: JSON.stringify({ key: id, text }) }).catch(
        () => null,
      ),
    ),
  )
  return answers.every((answer) => answer?.ok)
}

function Threads({
  threads,
  open,
  onOpen,
}: {
  threads: Thread[]
  open: Thread | undefined
  onOpen(id: string): void
}) {
  return (
    <nav aria-label="Threads" className="w-40 shrink-0 overflow-auto border-seam border-r">
      {threads.map((thread) => (
        <Entry key={thread.id} thread={thread} open={thread === open} onOpen={onOpen} />
      ))}
    </nav>
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
  onStep,
}: {
  document: DocumentId
  thread: Thread
  onSay(text: string): void
  onStep(by: number): void
}) {
  const [typed, setTyped] = useTyped(document, thread.id)
  const log = useRef<HTMLDivElement>(null)
  const count = thread.messages.length
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new message is the reason to scroll
  useEffect(() => {
    log.current?.scrollTo(0, log.current.scrollHeight)
  }, [count])
  const say = () => {
    if (!typed.trim()) return
    onSay(typed.trim())
    setTyped('')
  }
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.nativeEvent.isComposing) return
    if (event.key === 'Enter' && !event.shiftKey) say()
    else if (event.key === 'PageDown') onStep(1)
    else if (event.key === 'PageUp') onStep(-1)
    else return
    event.preventDefault()
  }
  return (
    <>
      <div
        ref={log}
        role="log"
        aria-label={`Messages with ${thread.who}`}
        tabIndex={0}
        className="flex min-h-0 flex-1 flex-col gap-2 overflow-auto p-3 text-[15px]"
      >
        {thread.messages.map(({ by, text, at, mention, waiting }) => (
          <p
            key={`${at} ${text}`}
            className={`max-w-[85%] border px-2.5 py-1.5 ${
              by === 'me' ? 'self-end border-ink' : 'self-start border-seam'
            } ${mention ? 'border-l-4 border-l-alarm' : ''}`}
          >
            <span className="whitespace-pre-wrap break-words">{text}</span>
            <span className="ml-2 text-[12px] text-soft">{waiting ? 'waits' : clock(at)}</span>
          </p>
        ))}
      </div>
      <div className="flex items-end gap-2 border-seam border-t p-2">
        <textarea
          data-autofocus=""
          aria-label={`Reply to ${thread.who}`}
          title="Enter sends, Shift and Enter begin a line, Page Up and Page Down go to another thread"
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

const clock = (at: number): string =>
  new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
