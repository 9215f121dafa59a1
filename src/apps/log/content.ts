import { boolean, object, string } from 'yup'
import { atMinute, dayOf } from '@/core/plan/plan'
import { dayKey } from '@/store/journal'
import type { Contents } from '../contents'

/** What of the log is shown, as it was chosen. */
export interface LogContent {
  span: Span
  /** The first and the last day where they were chosen: “2026-03-04”; empty before. */
  from: string
  to: string
  shows: Shows
  /** Whether the period before stands beside the figures. */
  compares: boolean
}

/** How long the last days are that are shown; `dates` are two that were chosen. */
export const SPANS = { day: 'day', week: 'week', weeks: 'four weeks', dates: 'other dates' }
export type Span = keyof typeof SPANS

export const SHOWS = { day: 'What happened', ways: 'From and to', suggestions: 'Suggestions' }
export type Shows = keyof typeof SHOWS

const date = () =>
  string()
    .defined()
    .matches(/^(\d{4}-\d\d-\d\d)?$/)

export const LOG: Contents<LogContent> = {
  shape: object({
    span: string().oneOf(Object.keys(SPANS)).required(),
    from: date(),
    to: date(),
    shows: string().oneOf(Object.keys(SHOWS)).required(),
    compares: boolean().required(),
  }),
  empty: { span: 'day', from: '', to: '', shows: 'day', compares: false },
}

/** So many days are shown at most: what is further apart is drawn too small to be read. */
export const DAYS_MOST = 366

const NOON = 12 * 60
const COUNTS: Partial<Record<Span, number>> = { day: 1, week: 7, weeks: 28 }

/** Noon of a day that was chosen; null where it is none. */
export function dayFrom(date: string): number | null {
  const [year, month, day] = date.split('-').map(Number)
  if (!year || !month || !day) return null
  return new Date(year, month - 1, day, 12).getTime()
}

/**
 * The days that are shown.
 * @param now milliseconds since 1970
 * @param ago how many days before today the last one is, where none was chosen
 * @returns noon of the last, and how many they are
 */
export function daysOf(
  { span, from, to }: LogContent,
  now: number,
  ago: number,
): { last: number; days: number } {
  const [first, end] = [dayFrom(from), dayFrom(to)]
  if (span === 'dates' && first !== null && end !== null)
    // Days are not all of one length.
    return { last: end, days: Math.round((dayOf(end) - dayOf(first)) / 86_400_000) + 1 }
  return { last: atMinute(dayOf(now), -ago * 24 * 60 + NOON), days: COUNTS[span] ?? 1 }
}

/** Two days that were chosen, in order and not too far apart: what was set last is kept. */
export function between(
  set: 'from' | 'to',
  { from, to }: Pick<LogContent, 'from' | 'to'>,
): Pick<LogContent, 'from' | 'to'> {
  const [first, last] = [dayFrom(from), dayFrom(to)]
  if (first === null || last === null) return { from, to }
  const apart = Math.round((dayOf(last) - dayOf(first)) / 86_400_000)
  if (apart < 0) return set === 'from' ? { from, to: from } : { from: to, to }
  if (apart < DAYS_MOST) return { from, to }
  return set === 'from'
    ? { from, to: moved(from, DAYS_MOST - 1) }
    : { from: moved(to, 1 - DAYS_MOST), to }
}

/** A day so many days later. */
export function moved(date: string, days: number): string {
  const at = dayFrom(date)
  return at === null ? date : dayKey(atMinute(dayOf(at), days * 24 * 60 + NOON))
}

/** Two days, both so many days later; the last is today at most. */
export function shifted(
  { from, to }: Pick<LogContent, 'from' | 'to'>,
  days: number,
  today: string,
): Pick<LogContent, 'from' | 'to'> {
  const last = moved(to, days)
  if (last <= today) return { from: moved(from, days), to: last }
  const apart = Math.round(((dayFrom(to) ?? 0) - (dayFrom(from) ?? 0)) / 86_400_000)
  return { from: moved(today, -apart), to: today }
}
