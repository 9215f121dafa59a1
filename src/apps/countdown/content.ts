import { number, object, string } from 'yup'
import { byKind, type Contents, flag, moment } from '../contents'

/** On which days an alarm comes again. */
export type Repeat = 'daily' | 'weekdays'

interface Meant {
  /** What it is for. */
  label?: string
  /** On which days it comes again, and when: in minutes after midnight. */
  repeat?: { on: Repeat; clock: number }
}

/** A countdown to a moment, or paused with some time left, or not set; or how long something takes. */
export type CountdownContent =
  | { kind: 'idle' }
  /** `told`: its end was seen. */
  | ({ kind: 'running'; until: number; of: number; told?: boolean } & Meant)
  | ({ kind: 'paused'; left: number; of: number } & Meant)
  /** Since when, none while it stands, and how long it went before. */
  | { kind: 'stopwatch'; since: number | null; before: number; label?: string }

const meant = {
  label: string(),
  repeat: object({
    on: string().oneOf(['daily', 'weekdays']).required(),
    clock: number().integer().min(0).max(1439).required(),
  }).default(undefined),
}

export const COUNTDOWN: Contents<CountdownContent> = {
  shape: byKind({
    idle: object(),
    running: object({ until: moment(), of: moment(), told: flag(), ...meant }),
    paused: object({ left: moment(), of: moment(), ...meant }),
    stopwatch: object({ since: moment().nullable(), before: moment(), label: string() }),
  }),
  empty: { kind: 'idle' },
}
