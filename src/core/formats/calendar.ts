import ICAL from 'ical.js'
import type { DesktopId } from '@/core/model/ids'
import type { Block } from '@/core/model/kinds/block'
import type { Desktop } from '@/core/model/kinds/desktop'
import { shortened } from '@/core/model/shaping'
import { type Budget, fullBudget, nextEvent, spend, TooOften, withinBudget } from './calendarBudget'
import { knowZones } from './calendarZone'

/** Something a calendar has at a time; each time of what recurs is one of its own. */
export interface CalendarEvent {
  /** What it is known by in every copy of the calendar: its UID, and which of its times it is. */
  source: string
  title: string
  start: number
  end: number
}

export interface ReadCalendar {
  /** In order of their beginning. */
  events: CalendarEvent[]
  /** How many last whole days; they are no blocks of a day. */
  allDay: number
  /** How many take no time. */
  moments: number
  /** Time zones it names that nobody knows; what is in them is read by the local clock. */
  unknownZones: string[]
  /** What could not be read, and why. */
  unreadable: { title: string; why: string }[]
}

/** Moments between which events are wanted, milliseconds since 1970. */
export interface Between {
  from: number
  until: number
}

export class BadCalendar extends Error {}

/** A rule that goes on for ever is followed for so many times before what is wanted is reached. */
const TIMES_MOST = 20_000
/** It is every so many seconds, days, years at the most. */
const INTERVAL_MOST = 100_000

/**
 * What an iCalendar file (RFC 5545) has between two moments: what recurs at each of its times, with
 * its exceptions, each by the clock of its time zone; what was cancelled is not there.
 * @throws BadCalendar with a sentence that says what is wrong
 */
export function readCalendar(text: string, between: Between): ReadCalendar {
  const read: ReadCalendar = {
    events: [],
    allDay: 0,
    moments: 0,
    unknownZones: [],
    unreadable: [],
  }
  const budget = fullBudget()
  let leftOut = 0
  for (const calendar of calendarsIn(text, read)) {
    knowZones(calendar, (tzid) => {
      if (!read.unknownZones.includes(tzid)) read.unknownZones.push(tzid)
    })
    const all = calendar.getAllSubcomponents('vevent')
    const rules = all.filter((one) => !one.hasProperty('recurrence-id'))
    const known = new Set(rules.map(uidOf))
    const changed = new Map<string, ICAL.Component[]>()
    // An exception whose rule is not in the file stands for itself.
    const alone: ICAL.Component[] = []
    for (const one of all) {
      if (!one.hasProperty('recurrence-id')) continue
      const of = changed.get(uidOf(one))
      if (!known.has(uidOf(one))) alone.push(one)
      else if (of) of.push(one)
      else changed.set(uidOf(one), [one])
    }
    for (const component of [...rules, ...alone]) {
      if (!nextEvent(budget)) {
        leftOut++
        continue
      }
      try {
        const exceptions = changed.get(uidOf(component)) ?? []
        withinBudget(budget, () => add(read, component, exceptions, between, budget))
      } catch (error) {
        read.unreadable.push({ title: titleOf(component), why: shortened(saysOf(error), 120) })
      }
    }
  }
  if (leftOut > 0)
    read.unreadable.push({
      title: leftOut === 1 ? '1 more event' : `${leftOut} more events`,
      why: 'this calendar repeats too often to be read whole',
    })
  read.events.sort((a, b) => a.start - b.start || a.end - b.end || (a.source < b.source ? -1 : 1))
  return read
}

function calendarsIn(text: string, read: ReadCalendar): ICAL.Component[] {
  const calendars = parsed(text.replace(/^\uFEFF/, ''), read)
    .map((one) => new ICAL.Component(one))
    .filter(({ name }) => name === 'vcalendar')
  if (calendars.length === 0) throw new BadCalendar('it has no BEGIN:VCALENDAR')
  return calendars
}

type Parsed = [string, [], []]

const isParsed = (found: unknown): found is Parsed => Array.isArray(found) && found.length === 3

/** The calendars of a text; where it does not parse, without the events that do not, which are named. */
function parsed(text: string, read: ReadCalendar): Parsed[] {
  try {
    const found: unknown[] = ICAL.parse(text)
    // With several calendars in a file there is a list of them.
    return (Array.isArray(found[0]) ? found : [found]).filter(isParsed)
  } catch (error) {
    const { left, unreadable } = withoutBroken(text)
    if (unreadable.length === 0) throw new BadCalendar(shortened(saysOf(error), 160))
    read.unreadable.push(...unreadable)
    return parsed(left, read)
  }
}

/** So many broken events are named; of more only how many there are. */
const NAMED_MOST = 200

function withoutBroken(text: string): Pick<ReadCalendar, 'unreadable'> & { left: string } {
  const unreadable: ReadCalendar['unreadable'] = []
  const left: string[] = []
  let event: string[] | null = null
  const broken = (lines: string[], why: string) => {
    const title = lines.map((line) => /^SUMMARY[^:]*:(.*)$/i.exec(line)?.[1]).find(Boolean) ?? ''
    unreadable.push({ title: shortened(title.trim(), 200), why })
  }
  for (const line of text.split(/\r?\n/)) {
    if (/^BEGIN:VEVENT$/i.test(line)) {
      if (event) broken(event, 'it has no end')
      event = [line]
    } else if (/^END:VEVENT$/i.test(line) && event) {
      const whole = [...event, line]
      const why = whyBroken(whole)
      if (why) broken(whole, why)
      else left.push(...whole)
      event = null
    } else if (event && /^END:VCALENDAR$/i.test(line)) {
      broken(event, 'it has no end')
      event = null
      left.push(line)
    } else if (line) (event ?? left).push(line)
  }
  const more = unreadable.length - NAMED_MOST
  if (more > 0)
    unreadable.splice(NAMED_MOST, more, {
      title: `${more} more events`,
      why: 'they are broken too',
    })
  return { left: left.join('\r\n'), unreadable }
}

function whyBroken(event: string[]): string | null {
  try {
    ICAL.parse(['BEGIN:VCALENDAR', ...event, 'END:VCALENDAR'].join('\r\n'))
    return null
  } catch (error) {
    return saysOf(error)
  }
}

/** What the package says, in words of ours; errors of ours have their own. */
function saysOf(error: unknown): string {
  const says = error instanceof Error ? error.message : String(error)
  if (/did not end|invalid ical body/i.test(says)) return 'it breaks off in the middle'
  if (/invalid (date|time|duration)|could not extract integer|missing/i.test(says))
    return 'its date or time is invalid'
  if (/frequency|recur|BY[A-Z]+|interval/i.test(says)) return 'how it repeats is invalid'
  if (/^(it|its|how|this) /.test(says)) return says
  return 'it is not written as calendars are'
}

const uidOf = (component: ICAL.Component): string =>
  String(component.getFirstPropertyValue('uid') ?? '')

const titleOf = (component: ICAL.Component): string =>
  shortened(String(component.getFirstPropertyValue('summary') ?? '').trim(), 199)

const cancelled = (component: ICAL.Component): boolean =>
  component.getFirstPropertyValue('status') === 'CANCELLED'

function add(
  read: ReadCalendar,
  component: ICAL.Component,
  changed: ICAL.Component[],
  between: Between,
  budget: Budget,
): void {
  if (!component.hasProperty('dtstart')) throw new Error('it has no beginning')
  const alone = component.hasProperty('recurrence-id')
  const event = new ICAL.Event(component, { exceptions: alone ? [] : changed })
  // Each has one by the standard; where it has none it goes by what it is and when.
  const uid = shortened(
    uidOf(component) || `${titleOf(component)} ${component.getFirstPropertyValue('dtstart')}`,
    400,
  )
  const occurs = (of: ICAL.Event, start: ICAL.Time, end: ICAL.Time, which?: ICAL.Time) => {
    if (cancelled(of.component)) return
    const [from, to] = [start.toJSDate().getTime(), end.toJSDate().getTime()]
    if (Number.isNaN(from) || Number.isNaN(to)) throw new Error('its times are invalid')
    if (to < between.from || from >= between.until) return
    if (start.isDate) read.allDay++
    else if (to <= from) read.moments++
    else if (to > between.from)
      read.events.push({
        source: which ? `${uid}/${which.convertToZone(ICAL.Timezone.utcTimezone)}` : uid,
        title: titleOf(of.component),
        start: from,
        end: to,
      })
  }
  if (!event.isRecurring()) {
    occurs(event, event.startDate, event.endDate, alone ? event.recurrenceId : undefined)
    return
  }
  const rules: ICAL.Recur[] = component
    .getAllProperties('rrule')
    .map((rule) => rule.getFirstValue() as unknown as ICAL.Recur)
  if (rules.some((rule) => !(rule.interval >= 1 && rule.interval <= INTERVAL_MOST)))
    throw new Error('how often it repeats is invalid')
  // The package counts them from another day than the standard does.
  if (rules.some((rule) => rule.getComponent('BYWEEKNO').length > 0))
    throw new Error('it repeats by weeks of the year, which can’t be read')
  const times = event.iterator()
  // One that was moved is told where it was moved to, which may be far from where it was.
  const moved = new Set(Object.keys(event.exceptions))
  for (let count = 0; ; count++) {
    const time = times.next()
    if (!time || time.toJSDate().getTime() >= between.until) break
    if (count >= TIMES_MOST) throw new TooOften()
    spend(budget, 3)
    if (moved.has(time.toString())) continue
    const { item, startDate, endDate } = event.getOccurrenceDetails(time)
    occurs(item, startDate, endDate, time)
  }
  for (const one of Object.values(event.exceptions))
    occurs(one, one.startDate, one.endDate, one.recurrenceId)
}

/** Blocks of the plan as an iCalendar file: read in again they are the same. */
export function writeCalendar(
  plan: readonly Block[],
  desktops: Readonly<Record<DesktopId, Pick<Desktop, 'name'>>>,
  now: number,
): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', '-//Kite Shelf//Plan of the day//EN')
  for (const { id, source, desktop, title, start, end, skipped } of plan) {
    const event = new ICAL.Component('vevent')
    event.addPropertyWithValue('uid', source ?? id)
    event.addPropertyWithValue('dtstamp', utc(now))
    event.addPropertyWithValue('dtstart', utc(start))
    event.addPropertyWithValue('dtend', utc(end))
    const name = desktops[desktop]?.name ?? ''
    event.addPropertyWithValue('summary', title ?? name)
    event.addPropertyWithValue('categories', name)
    if (skipped) event.addPropertyWithValue('status', 'CANCELLED')
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}

const utc = (moment: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(moment), true)
