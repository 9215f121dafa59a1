/** “26 Nov 2026, 14:05”, as it is written where the person is. */
export const when = (at: number): string =>
  new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short', hourCycle: 'h23' })
