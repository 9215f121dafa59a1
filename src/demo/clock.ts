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
