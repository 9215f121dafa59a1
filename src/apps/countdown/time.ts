/** A countdown to a moment, or paused with some time left, or not set. */
export type CountdownContent =
  | { kind: 'idle' }
  | { kind: 'running'; until: number; of: number }
  | { kind: 'paused'; left: number; of: number }

export const IDLE: CountdownContent = { kind: 'idle' }

/** Milliseconds left; 0 when done. */
export function left(content: CountdownContent, now: number): number {
  if (content.kind === 'running') return Math.max(0, content.until - now)
  return content.kind === 'paused' ? content.left : 0
}

const MINUTE = 60_000
const HOUR = 60 * MINUTE

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
  const clock = /^\s*(\d{1,2})[:.](\d{2})\s*$/.exec(text)
  if (clock) {
    const [hours, minutes] = [Number(clock[1]), Number(clock[2])]
    if (hours > 23 || minutes > 59) return null
    const until = new Date(now)
    until.setHours(hours, minutes, 0, 0)
    if (until.getTime() <= now) until.setDate(until.getDate() + 1)
    return { kind: 'running', until: until.getTime(), of: until.getTime() - now }
  }
  const parts = /^\s*(?:(\d+)\s*h)?\s*(?:(\d+)\s*(?:min|m)?\b)?\s*(?:(\d+)\s*s)?\s*$/i.exec(text)
  if (!parts) return null
  const [hours, minutes, seconds] = [1, 2, 3].map((at) => Number(parts[at] ?? 0))
  const of = (hours ?? 0) * HOUR + (minutes ?? 0) * MINUTE + (seconds ?? 0) * 1000
  return of > 0 && of <= 99 * HOUR ? { kind: 'running', until: now + of, of } : null
}
