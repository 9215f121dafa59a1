import ICAL from 'ical.js'

/**
 * A time zone by its name alone, such as `Europe/Berlin`: many calendars name one without saying what
 * its clock does. The platform knows the clocks of the world.
 */
class NamedZone extends ICAL.Timezone {
  private clock: Intl.DateTimeFormat

  /** @throws RangeError where the platform knows no such zone */
  constructor(tzid: string) {
    super({ tzid })
    this.clock = new Intl.DateTimeFormat('en', {
      timeZone: tzid,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    })
  }

  /** Seconds its clock is ahead of UTC when it shows a time. */
  override utcOffset({ year, month, day, hour, minute, second }: ICAL.Time): number {
    const shown = Date.UTC(year, month - 1, day, hour, minute, second)
    // Where the clock was changed since the guess, the second one lands.
    const guess = this.ahead(shown)
    return this.ahead(shown - guess * 1000)
  }

  private ahead(moment: number): number {
    const parts = Object.fromEntries(
      this.clock.formatToParts(moment).map(({ type, value }) => [type, Number(value)]),
    )
    const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts
    return (Date.UTC(year, month - 1, day, hour, minute, second) - moment) / 1000
  }
}

/**
 * Lets a calendar know zones it names but does not describe. What nobody knows is the local clock.
 * @param unknown is told the names of those
 */
export function knowZones(calendar: ICAL.Component, unknown: (tzid: string) => void): void {
  const described = calendar.getTimeZoneByID.bind(calendar)
  const named = new Map<string, ICAL.Timezone | null>()
  calendar.getTimeZoneByID = (tzid) => {
    const found = described(tzid)
    if (found && isClock(found.component)) return found
    if (!named.has(tzid)) named.set(tzid, zone(tzid))
    const known = named.get(tzid)
    if (!known) unknown(tzid)
    return known ?? ICAL.Timezone.localTimezone
  }
}

function zone(tzid: string): ICAL.Timezone | null {
  try {
    return new NamedZone(tzid)
  } catch {
    return null
  }
}

/** Clocks change once or twice a year: what changes more often would be worked out without end. */
function isClock(component: ICAL.Component): boolean {
  const parts = component.getAllSubcomponents()
  return parts.every((part) =>
    part
      .getAllProperties('rrule')
      .every((rule) => (rule.getFirstValue() as unknown as ICAL.Recur | null)?.freq === 'YEARLY'),
  )
}
