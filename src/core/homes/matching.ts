import type { Home } from '@/core/model/kinds/home'
import type { State } from '@/core/model/state'

/** A window as homes see it, opened or about to be. */
export interface Subject {
  app: string
  title: string
}

/** A moment of the week in local time. */
export interface Moment {
  /** Sunday is 0. */
  day: number
  /** Minutes since midnight. */
  minute: number
}

/** @param now milliseconds since 1970 */
export function momentOf(now: number): Moment {
  const date = new Date(now)
  return { day: date.getDay(), minute: date.getHours() * 60 + date.getMinutes() }
}

/**
 * Whether a text is as a pattern says: `*` stands for any text; capitals do not count. What stands
 * between two stars is taken where it comes first, which is as good as anywhere later: one search
 * through the text, however many stars there are.
 */
export function fits(pattern: string, text: string): boolean {
  const [first = '', ...others] = pattern.toLowerCase().split('*')
  const last = others.pop()
  const given = text.toLowerCase()
  if (last === undefined) return given === first
  if (!given.startsWith(first)) return false
  let at = first.length
  for (const part of others) {
    const found = given.indexOf(part, at)
    if (found < 0) return false
    at = found + part.length
  }
  return given.length - last.length >= at && given.endsWith(last)
}

/** How narrow a home is: the number of its conditions, where a title counts 2. */
export function specificity({ title, days, from, to, displays }: Home): number {
  const timed = from !== undefined && to !== undefined
  return (title ? 2 : 0) + (days?.length ? 1 : 0) + (timed ? 1 : 0) + (displays?.length ? 1 : 0)
}

/** The first condition of a home that does not hold, or null where all do. */
export function unmet(
  home: Home,
  { title }: Subject,
  { day, minute }: Moment,
  displays: State['displays'],
): 'title' | 'day' | 'time' | 'display' | null {
  if (home.title && !fits(home.title, title)) return 'title'
  if (home.days?.length && !home.days.includes(day)) return 'day'
  const { from, to } = home
  if (from !== undefined && to !== undefined && !within(minute, from, to)) return 'time'
  if (home.displays?.some((id) => !displays[id]?.connected)) return 'display'
  return null
}

/** Whether a minute of the day lies in a span, which may go over midnight. */
const within = (minute: number, from: number, to: number): boolean =>
  from <= to ? minute >= from && minute < to : minute >= from || minute < to

/** The home that says where a window opens: the most specific that matches, ties by order. */
export function homeFor(
  state: Pick<State, 'homes' | 'displays'>,
  subject: Subject,
  moment: Moment,
): Home | null {
  let best: Home | null = null
  for (const home of state.homes) {
    if (!home.on || home.app !== subject.app) continue
    if (best && specificity(home) <= specificity(best)) continue
    if (unmet(home, subject, moment, state.displays) === null) best = home
  }
  return best
}
