import type { Exception } from '@/core/model/kinds/app'
import type { Home } from '@/core/model/kinds/home'
import type { Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { homeFor, type Moment, type Subject, specificity, unmet } from './matching'
import { where, whose } from './words'

/** A home of the window's app and why it did not win. */
interface Loser {
  home: Home
  why: string
}

export interface Explanation {
  /** How all windows of the app are treated otherwise than others. */
  exceptions: Exception[]
  /** The home that wins, or null: then the current desktop is where it opens. */
  home: Home | null
  /** Why it wins, in words. */
  why: string
  /** The other homes of the app, in order, each with why it lost. */
  losers: Loser[]
}

const UNMET = {
  title: 'the title doesn’t match',
  day: 'it is another day',
  time: 'it is another time of the day',
  display: 'a display it names is not connected',
}

/** Where a window of an app with a title would open at a moment, and why there. */
export function explain(
  state: State,
  subject: Subject,
  moment: Moment,
  plural: string,
): Explanation {
  const home = homeFor(state, subject, moment)
  const losers: Loser[] = []
  for (const other of state.homes) {
    if (other.app !== subject.app || other === home) continue
    losers.push({ home: other, why: lost(state, other, home, subject, moment) })
  }
  const exceptions = state.exceptions[subject.app] ?? []
  if (exceptions.includes('on every desktop'))
    return {
      home: null,
      why: 'Its app opens on every desktop, whatever its homes say.',
      losers: home ? [{ home, why: 'the app has an exception' }, ...losers] : losers,
      exceptions,
    }
  if (!home)
    return {
      home,
      why: 'No home matches; it opens on the current desktop.',
      losers,
      exceptions,
    }
  const about = `${whose(home, plural, state)} open ${where(home, state)}`
  return { home, why: `${about[0]?.toUpperCase()}${about.slice(1)}.`, losers, exceptions }
}

function lost(
  state: State,
  home: Home,
  winner: Home | null,
  subject: Subject,
  moment: Moment,
): string {
  if (!home.on) return 'it is switched off'
  const condition = unmet(home, subject, moment, state.displays)
  if (condition) return UNMET[condition]
  if (winner && specificity(winner) > specificity(home)) return 'the other is more specific'
  return 'the other stands before it'
}

/** What put a window where it is, in words. */
export function causeInWords(state: State, { cause }: Window): string {
  switch (cause?.by) {
    case 'home':
      return state.homes.some(({ id }) => id === cause.home)
        ? 'Its home put it there.'
        : 'A home that is gone put it there.'
    case 'hand':
      return 'It was moved there by hand.'
    case 'fold':
      return `It came when ${cause.name} was folded.`
    case 'exception':
      return 'Its app opens on every desktop.'
    case 'here':
      return 'It was opened there: you were on it.'
    default:
      return 'It was there before this was recorded.'
  }
}
