import { CALENDARS } from '@testing/calendars'
import { BadCalendar, type CalendarEvent, readCalendar, writeCalendar } from './calendar'

const YEAR = { from: Date.UTC(2026, 0, 1), until: Date.UTC(2027, 0, 1) }

const file = (...lines: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Harrow Range//Test//EN',
    ...lines,
    'END:VCALENDAR',
    '',
  ].join('\r\n')

const event = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  'UID:one',
  'DTSTAMP:20260101T000000Z',
  ...(lines.some((line) => line.startsWith('SUMMARY')) ? [] : ['SUMMARY:Field']),
  ...lines,
  'END:VEVENT',
]

const times = (text: string, between = YEAR): string[] =>
  readCalendar(text, between).events.map(
    ({ start, end }) => `${new Date(start).toISOString()} ${(end - start) / 60_000}`,
  )

const desktops = { field: { name: 'Field' } }
const block = ({ start, end, title, source }: CalendarEvent, at: number) => ({
  id: `block-${at}`,
  desktop: 'field',
  start,
  end,
  source,
  title,
})

describe.each(CALENDARS)('$name', ({ lines, expected }) => {
  const text = file(...lines)

  test('in', () => {
    expect(times(text)).toEqual(expected)
  })

  test('out, and in again: equal', () => {
    const { events } = readCalendar(text, YEAR)
    const out = writeCalendar(events.map(block), desktops, YEAR.from)
    expect(readCalendar(out, YEAR).events).toEqual(events)
  })
})

test('there are thirty of them', () => {
  expect(CALENDARS.length).toBeGreaterThanOrEqual(30)
})

test('a time that was moved out of what is wanted is not there, one moved into it is', () => {
  const text = file(
    ...event('DTSTART:20260302T080000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY;COUNT=3'),
    ...event('RECURRENCE-ID:20260303T080000Z', 'DTSTART:20260401T080000Z', 'DURATION:PT1H'),
  )
  const march = { from: Date.UTC(2026, 2, 1), until: Date.UTC(2026, 3, 1) }
  expect(times(text, march)).toEqual(['2026-03-02T08:00:00.000Z 60', '2026-03-04T08:00:00.000Z 60'])
  const april = { from: Date.UTC(2026, 3, 1), until: Date.UTC(2026, 4, 1) }
  expect(times(text, april)).toEqual(['2026-04-01T08:00:00.000Z 60'])
})

test('each time of what recurs is known by its own name, whenever it is read and if it is moved', () => {
  const rule = event('DTSTART:20260302T080000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY;COUNT=3')
  const before = readCalendar(file(...rule), YEAR).events
  const moved = event('RECURRENCE-ID:20260303T080000Z', 'DTSTART:20260303T110000Z', 'DURATION:PT1H')
  const after = readCalendar(file(...rule, ...moved), YEAR).events
  expect(after.map(({ source }) => source)).toEqual(before.map(({ source }) => source))
  expect(new Set(before.map(({ source }) => source)).size).toBe(3)
  expect(after[1]?.start).not.toBe(before[1]?.start)
})

test('what lasts whole days or takes no time is counted, what cannot be read is named; the rest is there', () => {
  const read = readCalendar(
    file(
      ...event('DTSTART;VALUE=DATE:20260302', 'RRULE:FREQ=DAILY;COUNT=2'),
      ...event('DTSTART:20260302T080000Z'),
      ...event('SUMMARY:Broken', 'DTSTART:20260302T080000Z', 'RRULE:FREQ=NEVER'),
      ...event('RRULE:FREQ=DAILY'),
      ...event('SUMMARY:Weeks', 'DTSTART:20260302T080000Z', 'RRULE:FREQ=YEARLY;BYWEEKNO=20'),
      ...event('DTSTART:20260302T080000Z', 'DTEND:20260302T093000Z'),
    ),
    YEAR,
  )
  expect(read).toMatchObject({ allDay: 2, moments: 1 })
  expect(read.events).toHaveLength(1)
  expect(read.unreadable).toEqual([
    { title: 'Broken', why: 'how it repeats is invalid' },
    { title: 'Field', why: 'it has no beginning' },
    { title: 'Weeks', why: 'it repeats by weeks of the year, which can’t be read' },
  ])
})

test('an event without a UID goes by what it is and when; long ones are short enough to be kept', () => {
  const long = 'x'.repeat(900)
  const read = readCalendar(
    file(
      ...event('DTSTART:20260302T080000Z', 'DURATION:PT1H').filter((line) => line !== 'UID:one'),
      ...event('DTSTART:20260302T090000Z', 'DURATION:PT1H').filter((line) => line !== 'UID:one'),
      ...event(`SUMMARY:${long}`, 'DTSTART:20260303T080000Z', 'DURATION:PT1H').map((line) =>
        line === 'UID:one' ? `UID:${long}` : line,
      ),
    ),
    YEAR,
  )
  const sources = read.events.map(({ source }) => source)
  expect(sources.slice(0, 2)).toEqual(['Field 2026-03-02T08:00:00Z', 'Field 2026-03-02T09:00:00Z'])
  const [, , kept] = read.events
  expect(kept?.source.length).toBeLessThanOrEqual(500)
  expect(kept?.title.length).toBeLessThanOrEqual(200)
})

test('a time zone nobody knows is told, and read by the local clock', () => {
  const read = readCalendar(
    file(...event('DTSTART;TZID=Office Clock:20260302T080000', 'DURATION:PT1H')),
    YEAR,
  )
  expect(read.unknownZones).toEqual(['Office Clock'])
  expect(new Date(read.events[0]?.start ?? 0)).toEqual(new Date(2026, 2, 2, 8))
})

test('a rule that goes on for ever ends where nothing more is wanted, or is told', () => {
  const daily = file(...event('DTSTART:20100101T080000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY'))
  expect(times(daily)).toHaveLength(365)
  const each = file(...event('DTSTART:20100101T080000Z', 'DURATION:PT1M', 'RRULE:FREQ=SECONDLY'))
  expect(readCalendar(each, YEAR).unreadable[0]?.why).toBe('it repeats too often')
})

const THOUSANDS = Array.from({ length: 20_000 }, (_, at) => at)
const ZONE = ['BEGIN:VTIMEZONE', 'TZID:Hasty', 'BEGIN:STANDARD', 'DTSTART:20200101T000000']
const HASTY = [
  ...[...ZONE, 'TZOFFSETFROM:+0000', 'TZOFFSETTO:+0100', 'RRULE:FREQ=SECONDLY'],
  ...['END:STANDARD', 'END:VTIMEZONE'],
]

test.each([
  [
    'a day no month has',
    event('DTSTART:20260101T080000Z', 'RRULE:FREQ=MONTHLY;BYMONTHDAY=30;BYMONTH=2'),
  ],
  [
    'the same each year',
    event('DTSTART:20260101T080000Z', 'RRULE:FREQ=YEARLY;BYMONTHDAY=30;BYMONTH=2'),
  ],
  [
    'the same each day',
    event('DTSTART:20260101T080000Z', 'RRULE:FREQ=DAILY;BYMONTHDAY=30;BYMONTH=2'),
  ],
  [
    'the same each second',
    event('DTSTART:20260101T080000Z', 'RRULE:FREQ=SECONDLY;BYMONTHDAY=30;BYMONTH=2'),
  ],
  ['no time between', event('DTSTART:20260101T080000Z', 'RRULE:FREQ=HOURLY;INTERVAL=0')],
  [
    'very much time between',
    event('DTSTART:20260101T080000Z', 'RRULE:FREQ=DAILY;INTERVAL=999999999'),
  ],
  ['a clock that changes each second', [...HASTY, ...event('DTSTART;TZID=Hasty:20260302T080000')]],
  [
    'daily events by the thousand',
    THOUSANDS.flatMap((at) =>
      event(`UID:${at}`, 'DTSTART:20100101T080000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY'),
    ),
  ],
  [
    'events without an end by the thousand',
    THOUSANDS.flatMap((at) => ['BEGIN:VEVENT', `SUMMARY:Open ${at}`]),
  ],
])('%s: it is read in two seconds at most, and what is left out is told', (_what, lines) => {
  const began = process.cpuUsage()
  let told = 0
  try {
    const text = ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n')
    const read = readCalendar(text, YEAR)
    told = read.unreadable.length + read.unknownZones.length + read.events.length + read.moments
  } catch (error) {
    if (!(error instanceof BadCalendar)) throw error
    told = error.message.length
  }
  // Without its bounds each of these works for over 20 seconds, whatever else the machine does.
  const { user, system } = process.cpuUsage(began)
  expect(user + system).toBeLessThan(10_000_000)
  expect(told).toBeGreaterThanOrEqual(
    _what.startsWith('a day') || _what.startsWith('the same') ? 0 : 1,
  )
})

test.each([
  ['nothing', ''],
  ['what is no calendar', 'Dear all,\r\nsee you at nine'],
  ['a table', 'a;b;c\r\n1;2;3'],
  ['a file that ends in the middle', file(...event('DTSTART:20260302T080000Z')).slice(0, 150)],
  ['another component', 'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Observer\r\nEND:VCARD\r\n'],
])('%s is refused in words', (_what, text) => {
  expect(() => readCalendar(text, YEAR)).toThrow(BadCalendar)
})

test('ten thousand events are read', () => {
  const lines = Array.from({ length: 10_000 }, (_, at) => [
    'BEGIN:VEVENT',
    `UID:event-${at}`,
    `DTSTART:202603${String(1 + (at % 28)).padStart(2, '0')}T080000Z`,
    'DURATION:PT45M',
    `SUMMARY:Round ${at}`,
    'END:VEVENT',
  ])
  const { events } = readCalendar(file(...lines.flat()), YEAR)
  expect(events).toHaveLength(10_000)
})

test('what was skipped is written as cancelled and has no time when it is read', () => {
  const skipped = {
    id: 'a',
    desktop: 'field',
    start: YEAR.from,
    end: YEAR.from + 60_000,
    skipped: true,
  }
  const out = writeCalendar([skipped], desktops, YEAR.from)
  expect(out).toContain('STATUS:CANCELLED')
  expect(readCalendar(out, YEAR).events).toEqual([])
})
