import { object } from 'yup'
import { byKind, type Contents, flag, moment } from '../contents'

/** A countdown to a moment, or paused with some time left, or not set. */
export type CountdownContent =
  | { kind: 'idle' }
  /** `told`: its end was seen. */
  | { kind: 'running'; until: number; of: number; told?: boolean }
  | { kind: 'paused'; left: number; of: number }

export const COUNTDOWN: Contents<CountdownContent> = {
  shape: byKind({
    idle: object(),
    running: object({ until: moment(), of: moment(), told: flag() }),
    paused: object({ left: moment(), of: moment() }),
  }),
  empty: { kind: 'idle' },
}
