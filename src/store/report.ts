import type { Waiting } from '@/core/model/kinds/waiting'

/** What an app tells of a document of its own accord. Nothing of it is kept. */
export interface Report {
  /** What it wants attention for; `alarm` is the most urgent. */
  attention?: Waiting['level'] | null
  /** In words, for the Line and for people who do not see the page. */
  says?: string
  /** How far something is that takes its time, 0 to 1. */
  progress?: number | null
  /** Whether its page is open in a browser window of its own. */
  outside?: boolean
  /** Whether it goes on by itself, so that its window must not be put to rest. */
  busy?: boolean
}
