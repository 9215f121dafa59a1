/** The longest reply that the service takes, in characters. */
export const REPLY_MOST = 3500

/** That somebody is writing, before a message comes. */
export interface WritingEvent {
  writing: string
}

/** What the message service sends: one event a message, numbered from 1. */
export interface Incoming {
  number: number
  thread: string
  who: string
  text: string
  /** Whether the person is asked for by role. */
  mention: boolean
}
