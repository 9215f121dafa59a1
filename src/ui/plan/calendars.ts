import { BadCalendar, type Between, readCalendar, writeCalendar } from '@/core/formats/calendar'

/** Reads and writes calendars: one may have ten thousand events, or a rule without end. */
export const calendars = {
  read(text: string, between: Between) {
    try {
      return { calendar: readCalendar(text, between) }
    } catch (error) {
      if (error instanceof BadCalendar) return { problem: error.message }
      throw error
    }
  },
  write: writeCalendar,
}
