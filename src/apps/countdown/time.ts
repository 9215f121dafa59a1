import { typedMoment } from '@/core/plan/typed'
import type { CountdownContent } from './content'

/** Milliseconds left; 0 when done. */
export function left(content: CountdownContent, now: number): number {
  if (content.kind === 'running') return Math.max(0, content.until - now)
  return content.kind === 'paused' ? content.left : 0
}

/** “2 h 14 min”, “4:05” under an hour. Rounds up, so that 0:00 means done. */
export function inWords(milliseconds: number): string {
  const seconds = Math.ceil(milliseconds / 1000)
  const hours = Math.floor(seconds / 3600)
  const minutes = Math.floor((seconds % 3600) / 60)
  if (hours > 0) return `${hours} h ${String(minutes).padStart(2, '0')} min`
  return `${minutes}:${String(seconds % 60).padStart(2, '0')}`
}

/**
 * What was typed as a countdown: a time of day (`16:00`, tomorrow when past) or a duration
 * (`25`, `25 min`, `1 h 30`, `90 s`). Null when it is neither.
 */
export function parse(text: string, now: number): CountdownContent | null {
  const until = typedMoment(text, now)
  return until === null ? null : { kind: 'running', until, of: until - now }
}
