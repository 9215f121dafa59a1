import type { Attached, Message, MessagesContent, Thread } from './content'
import type { Incoming } from './protocol'

export const unread = ({ messages, read }: Thread): number => messages.length - read

/** Whether an unread message of a thread asks for the person. */
export const mentioned = ({ messages, read }: Thread): boolean =>
  messages.slice(read).some(({ mention }) => mention)

/** Adds a message that came in; one that came before is not added twice. */
export function receive(content: MessagesContent, incoming: Incoming, at: number): MessagesContent {
  if (incoming.number <= content.received) return content
  const { thread: id, who, text, mention } = incoming
  const message: Message = { by: 'them', text, at, ...(mention && { mention }) }
  const known = content.threads.find((thread) => thread.id === id)
  const threads = known
    ? content.threads.map((thread) =>
        thread === known ? { ...thread, messages: [...thread.messages, message] } : thread,
      )
    : [...content.threads, { id, who, messages: [message], read: 0 }]
  return { threads, received: incoming.number }
}

const change = (
  content: MessagesContent,
  id: string,
  to: (thread: Thread) => Thread,
): MessagesContent => ({
  ...content,
  threads: content.threads.map((thread) => (thread.id === id ? to(thread) : thread)),
})

/** Answers in a thread, which is thereby read. */
export const reply = (content: MessagesContent, id: string, message: Message): MessagesContent =>
  change(content, id, (thread) => {
    const messages = [...thread.messages, message]
    return { ...thread, messages, read: messages.length }
  })

export function markRead(content: MessagesContent, id: string): MessagesContent {
  const thread = content.threads.find((one) => one.id === id)
  if (!thread || unread(thread) === 0) return content
  return change(content, id, (one) => ({ ...one, read: one.messages.length }))
}

/** The last message that came in, and what was said since, are unread again. */
export const markUnread = (content: MessagesContent, id: string): MessagesContent =>
  change(content, id, (thread) => {
    const last = thread.messages.findLastIndex(({ by }) => by === 'them')
    return { ...thread, read: Math.max(0, last < 0 ? thread.messages.length - 1 : last) }
  })

/** With a thread in which nothing was said yet. */
export const begun = (content: MessagesContent, id: string, who: string): MessagesContent => ({
  ...content,
  threads: [...content.threads, { id, who, messages: [], read: 0 }],
})

export const withoutThread = (content: MessagesContent, id: string): MessagesContent => ({
  ...content,
  threads: content.threads.filter((thread) => thread.id !== id),
})

/** The message that was written first of those that wait to be sent. */
export const nextToSend = ({ threads }: MessagesContent): Message | undefined =>
  threads
    .flatMap(({ messages }) => messages.filter(({ waiting }) => waiting))
    .reduce<Message | undefined>(
      (first, one) => (first && first.at <= one.at ? first : one),
      undefined,
    )

/** The same message, wherever it stands: by its id, or as it was written where it has none. */
const isSame = (one: Message, other: Message): boolean =>
  other.id ? one.id === other.id : one.at === other.at && one.text === other.text && one.by === 'me'

/** The content with another message in the place of one; null takes it away. */
export const withMessage = (
  content: MessagesContent,
  message: Message,
  to: Message | null,
): MessagesContent => ({
  ...content,
  threads: content.threads.map((thread) => {
    const at = thread.messages.findIndex((one) => isSame(one, message))
    if (at < 0) return thread
    const messages = thread.messages.toSpliced(at, 1, ...(to ? [to] : []))
    return { ...thread, messages, read: Math.min(thread.read, messages.length) }
  }),
})

/** A message of one's own, as it is before the service has it. */
export const written = (text: string, id: string, at: number, files: Attached[] = []): Message => ({
  by: 'me',
  text,
  at,
  id,
  waiting: true,
  ...(files.length > 0 && { files }),
})
