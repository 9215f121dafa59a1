import { clockFrom, shownBy } from './clock'

const NOW = new Date(2026, 2, 5, 9, 15).getTime()

test('an address asks for a time of today, and how fast it goes on', () => {
  const clock = clockFrom('?at=13:46&speed=20', NOW)
  if (!clock || 'problem' in clock) throw new Error('no clock')
  expect(new Date(shownBy(clock, NOW))).toEqual(new Date(2026, 2, 5, 13, 46))
  // Three minutes of ours are an hour of its.
  expect(new Date(shownBy(clock, NOW + 180_000))).toEqual(new Date(2026, 2, 5, 14, 46))
  expect(clockFrom('?at=06:00', NOW)).toMatchObject({ speed: 1 })
  expect(clockFrom('?speed=20', NOW)).toBeNull()
})

test.each(['?at=25:10', '?at=midday', '?at=', '?at=9:00&speed=0', '?at=9:00&speed=fast'])(
  '%s is refused in words that say how to ask',
  (search) => {
    expect(clockFrom(search, NOW)).toMatchObject({ problem: expect.stringContaining('/demo?at=') })
  },
)
