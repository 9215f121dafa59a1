/** A minute of the day as it is written: 390 is 06:30. */
export function clockOf(minute: number): string {
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`
}

/** The minute of the day of 06:30; null where it is no time of the day. */
export function minuteOf(clock: string): number | null {
  const found = /^(\d{1,2}):(\d{2})$/.exec(clock.trim())
  if (!found) return null
  const [hours, minutes] = [Number(found[1]), Number(found[2])]
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null
}
