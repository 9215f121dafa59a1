import { nextAt, typedClock, typedMoment } from '@/core/plan/typed'
import type { CountdownContent, Repeat } from './content'

/** Milliseconds left, 0 when done; of a stopwatch, how long it went. */
export function left(content: CountdownContent, now: number): number {
  switch (content.kind) {
    case 'running':
      return Math.max(0, content.until - now)
    case 'paused':
      return content.left
    case 'stopwatch':
      return content.before + (content.since === null ? 0 : Math.max(0, now - content.since))
    default:
      return 0
  }
}

/**
 * “2 h 14 min”, “4:05” under an hour. Rounds up, so that 0:00 means done.
 * @param gone for time that has gone by: rounds down
 */
export function inWords(milliseconds: number, gone = false): string {
  const seconds = gone ? Math.floor(milliseconds / 1000) : Math.ceil(milliseconds / 1000)
  const hours = Math.floor(seconds / 3600)
  const minutes = Math.floor((seconds % 3600) / 60)
  if (hours > 0) return `${hours} h ${String(minutes).padStart(2, '0')} min`
  return `${minutes}:${String(seconds % 60).padStart(2, '0')}`
}

const UNIT = /^(?:h|m|min|s|am|pm)$/i

const DAYS: Record<Repeat, number[] | undefined> = { daily: undefined, weekdays: [1, 2, 3, 4, 5] }

const REPEATS: [Repeat, RegExp][] = [
  ['weekdays', /(?:^|\s)(?:on |every )?weekdays?(?=\s|$)/i],
  ['daily', /(?:^|\s)(?:daily|every day)(?=\s|$)/i],
]

/**
 * What was typed as a countdown: a time of day (`16:00`, `4pm`, `noon`; tomorrow when past) or a duration
 * (`25`, `25 min`, `1 h 30`, `90 s`), with what it is for before or after it (`tea 5 min`), and for times of
 * day `daily` or `weekdays`; or `stopwatch`. Null when it is nothing of these.
 */
export function parse(text: string, now: number): CountdownContent | null {
  const watch = /^\s*stop ?watch\b\s*(.*?)\s*$/i.exec(text)
  if (watch) return { kind: 'stopwatch', since: now, before: 0, ...labelled(watch[1]) }
  const repeat = REPEATS.find(([, pattern]) => pattern.test(text))
  const rest = repeat ? text.replace(repeat[1], ' ') : text
  const words = rest.trim().split(/\s+/)
  // The longest time there is, at either end: what is left over is what it is for.
  for (let count = words.length; count > 0; count--)
    for (const from of new Set([words.length - count, 0])) {
      const time = words.slice(from, from + count).join(' ')
      const label = words.toSpliced(from, count).join(' ')
      // “1000 h” is too long, and no 1000 minutes for h.
      if (UNIT.test(label)) continue
      const set = repeat ? alarm(time, repeat[0], now) : counting(time, now)
      if (set) return { ...set, ...labelled(label) }
    }
  return null
}

const labelled = (label: string | undefined) => (label ? { label } : {})

type Running = Extract<CountdownContent, { kind: 'running' }>

function counting(time: string, now: number): Running | null {
  const until = typedMoment(time, now)
  return until === null ? null : { kind: 'running', until, of: until - now }
}

function alarm(time: string, on: Repeat, now: number): Running | null {
  const clock = typedClock(time.replace(/^at\s+/i, ''))
  return clock === null ? null : nextTime({ on, clock }, now)
}

function nextTime(repeat: { on: Repeat; clock: number }, now: number): Running {
  const until = nextAt(repeat.clock, now, DAYS[repeat.on])
  return { kind: 'running', until, of: until - now, repeat }
}

/** How long an alarm that comes again says that it is over, once that was seen, in milliseconds. */
const SAID = 60_000

/** An alarm that was seen to be over, set to the next time it comes; null as long as it is not. */
export const again = (content: CountdownContent, now: number): CountdownContent | null =>
  content.kind === 'running' && content.repeat && content.told && now >= content.until + SAID
    ? { ...nextTime(content.repeat, now), ...labelled(content.label) }
    : null

/** It stands, with what is left of it or went by. */
export function paused(content: CountdownContent, now: number): CountdownContent {
  if (content.kind === 'stopwatch') return { ...content, since: null, before: left(content, now) }
  if (content.kind !== 'running') return content
  const { of, label, repeat } = content
  return {
    kind: 'paused',
    left: left(content, now),
    of,
    ...labelled(label),
    ...(repeat && { repeat }),
  }
}

/** It goes on; an alarm is at its time again. */
export function goneOn(content: CountdownContent, now: number): CountdownContent {
  if (content.kind === 'stopwatch') return { ...content, since: now }
  if (content.kind !== 'paused') return content
  if (content.repeat) return { ...nextTime(content.repeat, now), ...labelled(content.label) }
  const { left: rest, ...more } = content
  return { ...more, kind: 'running', until: now + rest }
}
