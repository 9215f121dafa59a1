/** What browsers tell of weeks; some by a name of their own, some not at all. */
type Told = Intl.Locale & {
  getWeekInfo?(): { firstDay: number }
  weekInfo?: { firstDay: number }
}

/**
 * The day a week begins with for people of a language; Sunday is 0. Monday, where it isn’t known.
 * @param language a tag such as `en-GB`
 */
export function weekBegins(language: string): number {
  const locale: Told = new Intl.Locale(language || 'en')
  const { firstDay } = locale.getWeekInfo?.() ?? locale.weekInfo ?? { firstDay: 1 }
  return firstDay % 7
}

/** Days in the order they are said, from Monday on. */
export const inWeek = (days: number[]): number[] =>
  days.toSorted((a, b) => ((a + 6) % 7) - ((b + 6) % 7))
