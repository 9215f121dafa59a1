import { HERE, type Home, NAMED } from '@/core/model/kinds/home'
import { EVERY } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { clockOf } from '@/core/text/clock'
import { inWeek } from '@/core/text/week'

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']

/** “tables titled “Station*” on Monday” — which windows a home is about. */
export function whose(home: Home, plural: string, state: Pick<State, 'displays'>): string {
  const { title, days, from, to, displays } = home
  return [
    plural,
    title && `titled “${title}”`,
    days?.length &&
      `on ${inWeek(days)
        .map((day) => DAYS[day])
        .join(', ')}`,
    from !== undefined && to !== undefined && `from ${clockOf(from)} to ${clockOf(to)}`,
    displays?.length &&
      `while ${displays.map((id) => state.displays[id]?.name ?? id).join(' and ')} ${displays.length > 1 ? 'are' : 'is'} plugged in`,
  ]
    .filter(Boolean)
    .join(' ')
}

/** “on Field” — where a home is. */
export function where(
  home: Pick<Home, 'desktop' | 'name'>,
  state: Pick<State, 'desktops'>,
): string {
  switch (home.desktop) {
    case EVERY:
      return 'on every desktop'
    case HERE:
      return 'on the current desktop'
    case NAMED:
      return `on a desktop named ${home.name}`
    default:
      return `on ${state.desktops[home.desktop]?.name ?? 'a desktop that is gone'}`
  }
}

/** “Tables titled “Station*” open on Field and take you there”. */
export function homeInWords(home: Home, plural: string, state: State): string {
  const about = whose(home, plural, state)
  const display = home.display && state.displays[home.display]?.name
  const parts = [
    `${about[0]?.toUpperCase()}${about.slice(1)} open ${where(home, state)}`,
    display && `on ${display}`,
    home.place && 'in their place',
  ]
  const follow =
    home.desktop === HERE || home.desktop === EVERY
      ? ''
      : home.follow
        ? ' and take you there'
        : ' while you stay'
  return `${parts.filter(Boolean).join(', ')}${follow}`
}
