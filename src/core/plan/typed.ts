const MINUTE = 60_000
const HOUR = 60 * MINUTE

/** The longest span that is meant, in milliseconds. */
const LONGEST = 99 * HOUR

/** A typed span, such as `25`, `25 min`, `1 h 30`, `90 s`, in milliseconds; null where it is none. */
export function typedSpan(text: string): number | null {
  const parts = /^\s*(?:(\d+)\s*h)?\s*(?:(\d+)\s*(?:min|m)?\b)?\s*(?:(\d+)\s*s)?\s*$/i.exec(text)
  if (!parts) return null
  const [hours = 0, minutes = 0, seconds = 0] = [1, 2, 3].map((at) => Number(parts[at] ?? 0))
  const span = hours * HOUR + minutes * MINUTE + seconds * 1000
  return span > 0 && span <= LONGEST ? span : null
}

/**
 * A typed time of day, such as `16:00`, `9.30`, `4pm`, `4:30 pm` or `noon`, in minutes after midnight;
 * null where it is none.
 */
export function typedClock(text: string): number | null {
  const word = text.trim().toLowerCase()
  if (word === 'noon') return 12 * 60
  if (word === 'midnight') return 0
  const clock = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/.exec(word)
  const [, typed = '', minutes, half] = clock ?? []
  // A number alone is a span.
  if (!clock || (!half && minutes === undefined)) return null
  if (half && (Number(typed) < 1 || Number(typed) > 12)) return null
  const hours = half ? (Number(typed) % 12) + (half === 'pm' ? 12 : 0) : Number(typed)
  return hours <= 23 && Number(minutes ?? 0) <= 59 ? hours * 60 + Number(minutes ?? 0) : null
}

/**
 * The next moment that is typed, as a time of day (tomorrow when it is past, by the local clock) or as
 * a span from now; “at” and “in” may stand before it.
 * @returns milliseconds since 1970, or null where it is neither
 */
export function typedMoment(text: string, now: number): number | null {
  const clock = typedClock(text.replace(/^\s*at\s+/i, ''))
  if (clock === null) {
    const span = typedSpan(text.replace(/^\s*in\s+/i, ''))
    return span === null ? null : now + span
  }
  return nextAt(clock, now)
}

/**
 * The next time the local clock shows so many minutes after midnight.
 * @param days those of the week on which it may, Sunday is 0; all where none are given
 */
export function nextAt(clock: number, now: number, days?: readonly number[]): number {
  const moment = new Date(now)
  moment.setHours(Math.floor(clock / 60), clock % 60, 0, 0)
  while (moment.getTime() <= now || days?.includes(moment.getDay()) === false)
    moment.setDate(moment.getDate() + 1)
  return moment.getTime()
}
