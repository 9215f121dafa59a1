'use client'
import { type FormEvent, useEffect, useRef, useState } from 'react'
import { changeContent, contentOf, shownContent, useContent } from '@/store/documents'
import { report } from '@/store/reports'
import { useArrangement } from '@/store/shelf'
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

/** Threads with people outside: read, answered, told when one is asked for. */
export default function Messages({ document: id, window }: AppProps) {
  const kept = useContent(id)
  const [chosen, setChosen] = useState<string | null>(null)
  const focused = useArrangement((state) => state.focus === window)
  const content = kept ? ((shownContent(kept) as MessagesContent | null) ?? NO_MESSAGES) : null
  // Two things may happen before the next drawing: each starts from what is there by then.
  const change = (to: (now: MessagesContent) => MessagesContent) => {
    const now = (contentOf(id) as MessagesContent | null) ?? NO_MESSAGES
    const next = to(now)
    if (next !== now) changeContent(id, next, 'saved')
  }
  const connection = useService<Incoming>(
    kept ? id : null,
    () => {
      const { received = 0 } = (contentOf(id) as MessagesContent | null) ?? NO_MESSAGES
      return { service: 'messages', seed: 2, after: received, speed: serviceSpeed() }
    },
    (incoming) => change((now) => receive(now, incoming, Date.now())),
  )
  const open = content?.threads.find((thread) => thread.id === chosen) ?? content?.threads[0]
  const waits = content?.threads.some((thread) => thread.messages.some(({ waiting }) => waiting))
  // biome-ignore lint/correctness/useExhaustiveDependencies: what waits goes out when it is heard again
  useEffect(() => {
    if (connection === 'heard' && waits) void sendWaiting(id).then((ok) => ok && change(sent))
  }, [connection, waits, id])
  // biome-ignore lint/correctness/useExhaustiveDependencies: a thread is read when it is seen
  useEffect(() => {
    if (focused && open && unread(open)) change((now) => markRead(now, open.id))
  }, [focused, open])
  useEffect(() => {
    if (!content) return
    const asking = content.threads.find(mentioned)
    const count = content.threads.reduce((sum, thread) => sum + unread(thread), 0)
    const attention = asking ? 'mention' : count ? 'info' : null
    const says = asking ? `${asking.who} asks for you` : count ? `${count} unread` : undefined
    report(id, { attention, ...(says && { says }) })
  }, [content, id])
  if (!content) return null
  return (
    <div className="flex min-h-0 flex-1">
      <Threads threads={content.threads} open={open} onOpen={setChosen} />
      <div className="flex min-w-0 flex-1 flex-col">
        {connection === 'lost' ? (
          <p role="alert" className="border-seam border-b border-dashed px-3 py-1.5 text-alarm">
            The connection is lost. It is tried again; what you write is kept and sent then.
          </p>
        ) : null}
        {open ? (
          <Talk
            key={open.id}
            thread={open}
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
async function sendWaiting(id: string): Promise<boolean> {
  const { threads } = (contentOf(id) as MessagesContent | null) ?? NO_MESSAGES
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
        <button
          key={thread.id}
          type="button"
          aria-current={thread === open ? 'true' : undefined}
          className="flex w-full items-center gap-2 px-3 py-2 text-left aria-[current]:bg-ink/8 aria-[current]:font-semibold"
          onClick={() => onOpen(thread.id)}
        >
          <span className="min-w-0 flex-1 truncate">{thread.who}</span>
          {mentioned(thread) ? <b className="font-mono text-alarm">!</b> : null}
          {unread(thread) ? (
            <span className="font-mono text-[12px]">{unread(thread)} new</span>
          ) : null}
        </button>
      ))}
    </nav>
  )
}

function Talk({ thread, onSay }: { thread: Thread; onSay(text: string): void }) {
  const [typed, setTyped] = useState('')
  const log = useRef<HTMLDivElement>(null)
  const count = thread.messages.length
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new message is the reason to scroll
  useEffect(() => {
    log.current?.scrollTo(0, log.current.scrollHeight)
  }, [count])
  const say = (event: FormEvent) => {
    event.preventDefault()
    if (!typed.trim()) return
    onSay(typed.trim())
    setTyped('')
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
            {text}
            <span className="ml-2 text-[12px] text-soft">{waiting ? 'waits' : clock(at)}</span>
          </p>
        ))}
      </div>
      <form onSubmit={say} className="flex gap-2 border-seam border-t p-2">
        <input
          data-autofocus=""
          aria-label={`Reply to ${thread.who}`}
          className="field min-w-0 flex-1"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="btn">
          Reply
        </button>
      </form>
    </>
  )
}

const clock = (at: number): string =>
  new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
