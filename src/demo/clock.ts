import { atMinute, dayOf } from '@/core/plan/plan'
import { typedClock } from '@/core/plan/typed'
import { jot, jotted, jottedJson } from '@/store/jotted'

/** A clock of the demo's own: what it showed when it was set, and how fast it goes. */
export interface DemoClock {
  /** What it showed, and when that was, in milliseconds since 1970. */
  shows: number
  setAt: number
  speed: number
}

const FASTEST = 1000

/**
 * The clock an address asks for, such as `?at=13:46&speed=20`; null where it asks for none.
 * @param now milliseconds since 1970
 */
export function clockFrom(search: string, now: number): DemoClock | { problem: string } | null {
  const asked = new URLSearchParams(search)
  const at = asked.get('at')
  if (at === null) return null
  const minutes = typedClock(at)
  if (minutes === null)
    return {
      problem: `“${at.slice(0, 20)}” is no time of day, so the demo goes by your clock. Ask as in /demo?at=13:46.`,
    }
  const speed = Number(asked.get('speed') ?? 1)
  if (!(speed > 0 && speed <= FASTEST))
    return {
      problem: `The demo goes at speeds above 0 up to ${FASTEST}, so it goes by your clock. Ask as in /demo?at=13:46&speed=20.`,
    }
  return { shows: atMinute(dayOf(now), minutes), setAt: now, speed }
}

/** What a clock shows at a moment. */
export const shownBy = ({ shows, setAt, speed }: DemoClock, moment: number): number =>
  shows + (moment - setAt) * speed

/** Waits that are shorter are about what a person sees and hears, and stay as they are. */
const LONG = 5000

/**
 * Sets the page by a clock: whatever asks for the time, and whatever waits for long, goes by it. For the
 * demo alone, before anything of it is loaded.
 */
export function setPageBy(clock: DemoClock): void {
  const RealDate = Date
  const now = () => Math.round(shownBy(clock, RealDate.now()))
  globalThis.Date = new Proxy(RealDate, {
    construct: (target, given, made) =>
      Reflect.construct(target, given.length === 0 ? [now()] : given, made),
    get: (target, name) => (name === 'now' ? now : Reflect.get(target, name)),
  })
  const scaled = <Set extends typeof setTimeout | typeof setInterval>(set: Set): Set =>
    new Proxy(set, {
      apply: (target, self, [run, wait = 0, ...rest]) =>
        Reflect.apply(target, self, [run, wait >= LONG ? wait / clock.speed : wait, ...rest]),
    })
  globalThis.setTimeout = scaled(globalThis.setTimeout)
  globalThis.setInterval = scaled(globalThis.setInterval)
}

const KEPT = 'kite-shelf-clock'

/**
 * The clock this page goes by: loaded anew it goes on, in another tab the demo begins again.
 * @returns whether it begins, so that nothing of an earlier time is left
 */
export function kept(clock: DemoClock, asked: string): { clock: DemoClock; begins: boolean } {
  const before = jottedJson('localStorage', KEPT) as (DemoClock & { asked: string }) | null
  if (before?.asked === asked && jotted('sessionStorage', KEPT) === asked)
    return { clock: before, begins: false }
  // Where nothing can be noted it begins each time.
  jot('sessionStorage', KEPT, asked)
  jot('localStorage', KEPT, JSON.stringify({ ...clock, asked }))
  return { clock, begins: true }
}

/** The clock another view of the same demo goes by. */
export const keptElsewhere = (): DemoClock | null =>
  jottedJson('localStorage', KEPT) as DemoClock | null
