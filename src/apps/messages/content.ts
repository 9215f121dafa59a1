import { array, object, string } from 'yup'
import { type Contents, count, flag, listById, moment, text } from '../contents'

export interface Message {
  by: 'them' | 'me'
  text: string
  /** Milliseconds since 1970. */
  at: number
  mention?: boolean
  /** Of one's own: what the service knows it by. */
  id?: string
  /** Of one's own: not sent yet. */
  waiting?: boolean
  /** Of one's own: the service did not take it, and why. */
  failed?: string
  /** Documents of the shelf that go with it. */
  files?: Attached[]
}

export interface Attached {
  id: string
  /** What it was called then. */
  title: string
}

export interface Thread {
  id: string
  who: string
  messages: Message[]
  /** How many of them have been read. */
  read: number
}

export interface MessagesContent {
  threads: Thread[]
  /** The number of the last message received. */
  received: number
}

export const MESSAGES: Contents<MessagesContent> = {
  shape: object({
    threads: listById(
      object({
        id: string().required(),
        who: text(),
        read: count(),
        messages: array(
          object({
            by: string().oneOf(['them', 'me']).required(),
            text: text(),
            at: moment(),
            mention: flag(),
            waiting: flag(),
            failed: string(),
            files: array(object({ id: text(), title: text() }).required()).default(undefined),
            id: string(),
          }).required(),
        ).required(),
      }),
    ),
    received: count(),
  }),
  empty: { threads: [], received: 0 },
}
