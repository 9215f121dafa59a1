import { between, DAYS_MOST, dayFrom, daysOf, LOG, moved, shifted } from './content'

const noon = (...day: [number, number, number]) =>
  new Date(day[0], day[1] - 1, day[2], 12).getTime()
const now = noon(2026, 3, 31)

test('the days that are shown are the last ones, or from one that was chosen to another', () => {
  expect(daysOf(LOG.empty, now, 0)).toEqual({ last: now, days: 1 })
  // Summer time began between them.
  expect(daysOf({ ...LOG.empty, span: 'week' }, now, 7)).toEqual({
    last: noon(2026, 3, 24),
    days: 7,
  })
  const dates = { ...LOG.empty, span: 'dates' as const, from: '2026-03-27', to: '2026-03-30' }
  expect(daysOf(dates, now, 0)).toEqual({ last: noon(2026, 3, 30), days: 4 })
  // Until both were chosen it is today.
  expect(daysOf({ ...dates, to: '' }, now, 0)).toEqual({ last: now, days: 1 })
})

test('the end that was set stays, and the other follows where it would come first or too far', () => {
  const days = { from: '2026-03-10', to: '2026-03-20' }
  expect(between('from', { ...days, from: '2026-03-22' })).toEqual({
    from: '2026-03-22',
    to: '2026-03-22',
  })
  expect(between('to', { ...days, to: '2026-03-01' })).toEqual({
    from: '2026-03-01',
    to: '2026-03-01',
  })
  const long = between('from', { ...days, from: '2020-01-01' })
  expect(long.from).toBe('2020-01-01')
  expect(daysOf({ ...LOG.empty, span: 'dates', ...long }, now, 0).days).toBe(DAYS_MOST)
  const back = between('to', { from: '2020-01-01', to: '2026-03-20' })
  expect(daysOf({ ...LOG.empty, span: 'dates', ...back }, now, 0)).toEqual({
    last: noon(2026, 3, 20),
    days: DAYS_MOST,
  })
  expect(between('to', { from: '', to: '2026-03-20' })).toEqual({ from: '', to: '2026-03-20' })
})

test('days are counted on over the ends of months and years; what is no day is none', () => {
  expect(moved('2026-02-27', 3)).toBe('2026-03-02')
  expect(moved('2026-01-01', -1)).toBe('2025-12-31')
  expect(dayFrom('2026-02')).toBeNull()
  expect(() => LOG.shape.validateSync({ ...LOG.empty, from: 'today' })).toThrow('from')
  LOG.shape.validateSync(LOG.empty)
})

test('both days are moved on as far as today', () => {
  const days = { from: '2026-03-10', to: '2026-03-16' }
  expect(shifted(days, -7, '2026-03-31')).toEqual({ from: '2026-03-03', to: '2026-03-09' })
  expect(shifted(days, 7, '2026-03-31')).toEqual({ from: '2026-03-17', to: '2026-03-23' })
  expect(shifted(days, 7, '2026-03-20')).toEqual({ from: '2026-03-14', to: '2026-03-20' })
})
