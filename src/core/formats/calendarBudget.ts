import ICAL from 'ical.js'

/** Steps of working out what recurs: about a second of work for one event, two for all. */
const EVENT_MOST = 60_000
const ALL_MOST = 240_000

/** What a calendar recurs by would take too long to be worked out. */
export class TooOften extends Error {
  override message = 'it repeats too often'
}

/** How much work may still be done for one calendar. */
export interface Budget {
  /** For all of it. */
  all: number
  /** For the event that is read now. */
  event: number
}

export const fullBudget = (): Budget => ({ all: ALL_MOST, event: EVENT_MOST })

/** Another event begins. @returns whether there is anything left for it */
export function nextEvent(budget: Budget): boolean {
  budget.event = EVENT_MOST
  return budget.all > 0
}

/** @throws TooOften where nothing is left */
export function spend(budget: Budget, steps = 1): void {
  budget.event -= steps
  budget.all -= steps
  if (budget.event < 0 || budget.all < 0) throw new TooOften()
}

/** What is used of the package's iterator inside one step; its types do not have it. */
interface Steps {
  check_contracting_rules(): boolean
  increment_monthday(days: number): void
}

/**
 * Does something with the package while each of its inner steps is counted: a rule without any day
 * that fits would be looked for without end, and within one step of ours.
 * @throws TooOften
 */
export function withinBudget<T>(budget: Budget, work: () => T): T {
  const inner = ICAL.RecurIterator.prototype as unknown as Steps
  const { check_contracting_rules: check, increment_monthday: increment } = inner
  inner.check_contracting_rules = function (this: Steps) {
    spend(budget)
    return check.call(this)
  }
  inner.increment_monthday = function (this: Steps, days: number) {
    spend(budget, 1 + Math.abs(days) / 30)
    increment.call(this, days)
  }
  try {
    return work()
  } finally {
    Object.assign(inner, { check_contracting_rules: check, increment_monthday: increment })
  }
}
