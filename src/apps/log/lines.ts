import { type Stretch, stretchesOf } from '@/core/journal/time'
import type { LoggedDay } from './useSpan'

/** A line of the log: one time on a desktop, and what happened meanwhile. */
export interface LogLine extends Stretch {
  /** How often another window came to the front. */
  focused: number
  opened: number
  /** How often something wanted attention. */
  asked: number
}

/** A day, time on a desktop after time on a desktop. */
export function linesOf({ events, midnight, until }: LoggedDay): LogLine[] {
  return stretchesOf(events, midnight, until).map((stretch) => {
    const during = events.filter(({ at }) => at >= stretch.start && at < stretch.end)
    const count = (kind: string) => during.filter((event) => event.kind === kind).length
    return { ...stretch, focused: count('focus'), opened: count('open'), asked: count('asks') }
  })
}

/** “3 windows focused, 1 opened”: what happened meanwhile; empty where nothing did. */
export function inWords({ focused, opened, asked }: LogLine): string {
  return [
    focused > 0 && `${focused} ${focused === 1 ? 'window' : 'windows'} focused`,
    opened > 0 && `${opened} opened`,
    asked > 0 && `${asked} needed attention`,
  ]
    .filter(Boolean)
    .join(', ')
}
