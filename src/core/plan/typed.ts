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

/** A typed time of day, such as `16:00` or `9.30`, in minutes after midnight; null where it is none. */
export function typedClock(text: string): number | null {
  const clock = /^\s*(\d{1,2})[:.](\d{2})\s*$/.exec(text)
  const [hours, minutes] = [Number(clock?.[1]), Number(clock?.[2])]
  return clock && hours <= 23 && minutes <= 59 ? hours * 60 + minutes : null
}

/**
 * The next moment that is typed, as a time of day (tomorrow when it is past, by the local clock) or as
 * a span from now. @returns milliseconds since 1970, or null where it is neither
 */
export function typedMoment(text: string, now: number): number | null {
  const clock = typedClock(text)
  if (clock === null) {
    const span = typedSpan(text)
    return span === null ? null : now + span
  }
  const moment = new Date(now)
  moment.setHours(Math.floor(clock / 60), clock % 60, 0, 0)
  if (moment.getTime() <= now) moment.setDate(moment.getDate() + 1)
  return moment.getTime()
}
