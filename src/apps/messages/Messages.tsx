'use client'
import { useEffect, useRef } from 'react'
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
import { type Attached, MESSAGES, type Message, type MessagesContent } from './content'
import { type Incoming, REPLY_MOST, type WritingEvent } from './protocol'
import { keepSending } from './sending'
import { Talk } from './Talk'
import { ThreadList } from './ThreadList'
import {
  begun,
  markRead,
  markUnread,
  mentioned,
  nextToSend,
  receive,
  reply,
  unread,
  withMessage,
  withoutThread,
  written,
} from './threads'
import { useWriting } from './useWriting'

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
  const [writing, setWriting] = useWriting()
  const connection = useService<Incoming | WritingEvent>(
    content ? id : null,
    () => {
      const { received } = shownNow(shelf, MESSAGES, id)
      return { service: 'messages', seed: 2, after: received, speed: serviceSpeed() }
    },
    (event) => {
      if ('writing' in event) return setWriting(event.writing)
      setWriting(null)
      change((now) => receive(now, event, shelf.clock()))
    },
  )
  const say = (thread: string, text: string, files: Attached[] = []) =>
    change((was) =>
      markRead(reply(was, thread, written(text, newId('message'), shelf.clock(), files)), thread),
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
  // What could still be taken back goes out when the window is shut.
  useEffect(
    () => () => {
      if (nextToSend(shownNow(shelf, MESSAGES, id))) keepSending(shelf, id, false)
    },
    [id, shelf],
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
  const root = useRef<HTMLDivElement>(null)
  /** The keys go on in the reply of what is open then. */
  const toReply = () =>
    requestAnimationFrame(() => {
      const within = (selector: string) => root.current?.querySelector<HTMLElement>(selector)
      ;(within('[data-autofocus]') ?? within('form input'))?.focus()
    })
  if (!content) return null
  const step = (by: number) => {
    const { threads } = content
    const at = open ? threads.indexOf(open) : 0
    const to = threads[(at + by + threads.length) % Math.max(1, threads.length)]
    if (to) choose(to.id)
  }
  return (
    <div ref={root} className="flex min-h-0 flex-1">
      <ThreadList
        threads={content.threads}
        open={open}
        writing={writing}
        onOpen={choose}
        onStart={(who) => {
          const thread = newId('thread')
          change((now) => begun(now, thread, who))
          choose(thread)
          toReply()
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
            window={window}
            document={id}
            thread={open}
            onStep={step}
            writing={writing === open.id}
            onSay={(text, files) => say(open.id, text, files)}
            onChange={(message, to) => change((now) => withMessage(now, message, to))}
            onUnread={() => {
              held.current = open.id
              change((now) => markUnread(now, open.id))
            }}
            onDelete={() => {
              change((now) => withoutThread(now, open.id))
              toReply()
            }}
          />
        ) : (
          <p className="m-auto p-4 text-soft">Nobody has written yet.</p>
        )}
      </div>
    </div>
  )
}
