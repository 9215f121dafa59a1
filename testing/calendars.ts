/**
 * Calendars by RFC 5545, each with what it has in 2026: beginnings in UTC, and minutes. The expected
 * times were worked out by hand from the standard.
 */
interface Calendar {
  name: string
  lines: string[]
  expected: string[]
}

const made = (name: string, expected: string[], ...lines: string[]): Calendar => ({
  name,
  expected,
  lines: ['BEGIN:VEVENT', 'UID:made', 'DTSTAMP:20260101T000000Z', ...lines, 'END:VEVENT'],
})

/** “2026-03-02T08:00:00.000Z 60” for each of some days, all at one time. */
const at = (time: string, minutes: number, ...days: string[]): string[] =>
  days.map((day) => `2026-${day}T${time}:00.000Z ${minutes}`)

const BERLIN = [
  'BEGIN:VTIMEZONE',
  'TZID:Mountain Time Office',
  'BEGIN:DAYLIGHT',
  'TZOFFSETFROM:+0100',
  'TZOFFSETTO:+0200',
  'DTSTART:19810329T020000',
  'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
  'END:DAYLIGHT',
  'BEGIN:STANDARD',
  'TZOFFSETFROM:+0200',
  'TZOFFSETTO:+0100',
  'DTSTART:19961027T030000',
  'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
  'END:STANDARD',
  'END:VTIMEZONE',
]

const exception = (...lines: string[]): string[] => [
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:made',
  'DTSTAMP:20260101T000000Z',
  ...lines,
]

const START = 'DTSTART:20260302T080000Z'
const HOUR = 'DURATION:PT1H'

export const CALENDARS: Calendar[] = [
  made(
    'a single event',
    at('08:00', 90, '03-02'),
    START,
    'DTEND:20260302T093000Z',
    'SUMMARY:Field',
  ),
  made('a duration in place of an end', at('08:00', 75, '03-02'), START, 'DURATION:PT1H15M'),
  made('over midnight', at('23:00', 180, '03-02'), 'DTSTART:20260302T230000Z', 'DURATION:PT3H'),
  made(
    'every day, three times',
    at('08:00', 60, '03-02', '03-03', '03-04'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
  ),
  made(
    'every second day until a day',
    at('08:00', 60, '03-02', '03-04', '03-06'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;INTERVAL=2;UNTIL=20260307T000000Z',
  ),
  made(
    'until the moment of the last one',
    at('08:00', 60, '03-02', '03-03'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;UNTIL=20260303T080000Z',
  ),
  made(
    'on weekdays',
    at('08:00', 60, '03-02', '03-03', '03-04', '03-05', '03-06', '03-09'),
    START,
    HOUR,
    'RRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;COUNT=6',
  ),
  made(
    'every second week on two days',
    at('08:00', 60, '03-02', '03-05', '03-16', '03-19'),
    START,
    HOUR,
    'RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH;COUNT=4',
  ),
  made(
    'every second week, weeks beginning on Sunday',
    at('08:00', 60, '03-02', '03-15', '03-16', '03-29'),
    START,
    HOUR,
    'RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=SU,MO;WKST=SU;COUNT=4',
  ),
  made(
    'every month on the 31st, where there is one',
    at('08:00', 60, '01-31', '03-31', '05-31'),
    'DTSTART:20260131T080000Z',
    HOUR,
    'RRULE:FREQ=MONTHLY;BYMONTHDAY=31;COUNT=3',
  ),
  made(
    'on the last day of a month',
    at('08:00', 60, '01-31', '02-28', '03-31'),
    'DTSTART:20260131T080000Z',
    HOUR,
    'RRULE:FREQ=MONTHLY;BYMONTHDAY=-1;COUNT=3',
  ),
  made(
    'on the second Tuesday of a month',
    at('08:00', 60, '03-10', '04-14', '05-12'),
    'DTSTART:20260310T080000Z',
    HOUR,
    'RRULE:FREQ=MONTHLY;BYDAY=2TU;COUNT=3',
  ),
  made(
    'on the last Friday of a month',
    at('08:00', 60, '03-27', '04-24', '05-29'),
    'DTSTART:20260327T080000Z',
    HOUR,
    'RRULE:FREQ=MONTHLY;BYDAY=-1FR;COUNT=3',
  ),
  made(
    'on the last working day of a month',
    at('08:00', 60, '01-30', '02-27', '03-31'),
    'DTSTART:20260130T080000Z',
    HOUR,
    'RRULE:FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1;COUNT=3',
  ),
  made(
    'every year, the first time before',
    at('08:00', 60, '03-02'),
    'DTSTART:20200302T080000Z',
    HOUR,
    'RRULE:FREQ=YEARLY',
  ),
  made(
    'every year in two months',
    at('08:00', 60, '03-02', '11-02'),
    START,
    HOUR,
    'RRULE:FREQ=YEARLY;BYMONTH=3,11;BYMONTHDAY=2;UNTIL=20261231T000000Z',
  ),
  made(
    'every six hours',
    [
      ...at('08:00', 60, '03-02'),
      ...at('14:00', 60, '03-02'),
      ...at('20:00', 60, '03-02'),
      ...at('02:00', 60, '03-03'),
    ],
    START,
    HOUR,
    'RRULE:FREQ=HOURLY;INTERVAL=6;COUNT=4',
  ),
  made(
    'twice a day',
    [
      ...at('08:00', 60, '03-02'),
      ...at('16:00', 60, '03-02'),
      ...at('08:00', 60, '03-03'),
      ...at('16:00', 60, '03-03'),
    ],
    START,
    HOUR,
    'RRULE:FREQ=DAILY;BYHOUR=8,16;COUNT=4',
  ),
  made(
    'without one day',
    at('08:00', 60, '03-02', '03-04'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
    'EXDATE:20260303T080000Z',
  ),
  made(
    'without two days, in one line',
    at('08:00', 60, '03-02', '03-05'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=4',
    'EXDATE:20260303T080000Z,20260304T080000Z',
  ),
  made(
    'with a day added',
    [...at('08:00', 60, '03-02', '03-03'), ...at('10:00', 60, '03-07')],
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=2',
    'RDATE:20260307T100000Z',
  ),
  made(
    'one time moved',
    [...at('08:00', 60, '03-02'), ...at('11:00', 30, '03-03'), ...at('08:00', 60, '03-04')],
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
    ...exception(
      'RECURRENCE-ID:20260303T080000Z',
      'DTSTART:20260303T110000Z',
      'DURATION:PT30M',
      'SUMMARY:Later',
    ),
  ),
  made(
    'one time cancelled',
    at('08:00', 60, '03-02', '03-04'),
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
    ...exception(
      'RECURRENCE-ID:20260303T080000Z',
      'DTSTART:20260303T080000Z',
      HOUR,
      'STATUS:CANCELLED',
    ),
  ),
  made(
    'from one time on an hour later',
    [...at('08:00', 60, '03-02'), ...at('09:00', 60, '03-03', '03-04')],
    START,
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
    ...exception(
      'RECURRENCE-ID;RANGE=THISANDFUTURE:20260303T080000Z',
      'DTSTART:20260303T090000Z',
      HOUR,
    ),
  ),
  made('cancelled as a whole', [], START, HOUR, 'STATUS:CANCELLED'),
  {
    name: 'a described time zone, over the change of the clock',
    expected: [...at('08:00', 60, '03-27', '03-28'), ...at('07:00', 60, '03-29', '03-30')],
    lines: [
      ...BERLIN,
      ...made(
        '',
        [],
        'DTSTART;TZID=Mountain Time Office:20260327T090000',
        HOUR,
        'RRULE:FREQ=DAILY;COUNT=4',
      ).lines,
    ],
  },
  made(
    'a time zone that is only named',
    [...at('14:00', 60, '03-07'), ...at('13:00', 60, '03-08', '03-09')],
    'DTSTART;TZID=America/New_York:20260307T090000',
    HOUR,
    'RRULE:FREQ=DAILY;COUNT=3',
  ),
  made(
    'begun in one named zone, ended in another',
    at('08:00', 120, '07-01'),
    'DTSTART;TZID=Europe/Berlin:20260701T100000',
    'DTEND;TZID=Europe/London:20260701T110000',
  ),
  made(
    'folded lines, escaped signs and other scripts',
    at('08:00', 60, '03-02'),
    START,
    HOUR,
    'SUMMARY:Call\\, “Tarn Ridge”\\; 雪崩 and a very lo',
    ' ng title that goes on in the next li',
    '\tne',
  ),
  made(
    'with alarms, people and what nobody knows',
    at('08:00', 60, '03-02'),
    START,
    HOUR,
    'X-OFFICE-COLOUR:teal',
    'ATTENDEE;CN=Hut warden:mailto:hut@example.org',
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    'TRIGGER:-PT10M',
    'DESCRIPTION:Soon',
    'END:VALARM',
  ),
  made(
    'an exception whose rule is not in the file',
    at('09:00', 60, '03-03'),
    'RECURRENCE-ID:20260303T080000Z',
    'DTSTART:20260303T090000Z',
    HOUR,
  ),
]
