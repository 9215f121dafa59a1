import type { DesktopId } from '@/core/model/ids'
import type { Block } from '@/core/model/kinds/block'
import { EVERY } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { typedClock, typedSpan } from './typed'

const MINUTE = 60_000

/** Midnight before a moment, by the local clock. */
export function dayOf(moment: number): number {
  const date = new Date(moment)
  date.setHours(0, 0, 0, 0)
  return date.getTime()
}

/**
 * A moment of a day, in minutes after its midnight by the clock on the wall: on the days the clock is
 * changed 9:30 is 9:30 all the same.
 */
export function atMinute(day: number, minutes: number): number {
  const date = new Date(day)
  date.setHours(0, minutes, 0, 0)
  return date.getTime()
}

/** What was typed as a block, or what is wrong with it. */
export type Typed = { start: number; end: number; name: string } | { problem: string }

/**
 * Typed times, and what stands after them: `9:30-11`, `9:30 45 min`, or `9:30` for as long as given;
 * over midnight where they end before they begin.
 * @param day a moment of the day they are meant for, milliseconds since 1970
 * @param span how long it takes where no end is typed, in milliseconds
 */
function typedTimes(text: string, day: number, span: number): Typed | null {
  const parts =
    /^(\d{1,2}(?:[:.]\d{2})?)(?:\s*(?:-|–|to)\s*(\d{1,2}(?:[:.]\d{2})?))?(?:\s+(.+))?$/i.exec(
      text.trim(),
    )
  const [, from = '', to, rest = ''] = parts ?? []
  const begin = clock(from)
  const end = to === undefined ? undefined : clock(to)
  if (!parts || begin === null || end === null) return null
  const start = atMinute(dayOf(day), begin)
  if (end !== undefined) {
    const over = end <= begin ? 24 * 60 : 0
    if (over && end + over - begin > NIGHT)
      return { problem: 'It would end before it begins. Type its times as 9:30-11.' }
    return { start, end: atMinute(dayOf(day), end + over), name: rest }
  }
  const long = /^(\d+\s*h(?:\s*\d+)?(?:\s*min)?|\d+\s*min)(?:\s+(.+))?$/i.exec(rest)
  const typed = long ? typedSpan(long[1] ?? '') : span
  if (typed === null) return { problem: 'Type how long it takes as 45 min or 1 h 30.' }
  return { start, end: start + typed, name: long ? (long[2] ?? '') : rest }
}

/**
 * A typed block: `9:30-11 Model`, `9:30 Model` (an hour), `9:30 45 min Model`.
 * @param day a moment of the day it is meant for, milliseconds since 1970
 */
export function typedBlock(text: string, day: number): Typed {
  const typed = typedTimes(text, day, 60 * MINUTE)
  return typed && ('problem' in typed || typed.name)
    ? typed
    : { problem: 'Type a time and a desktop, such as 9:30-11 Model.' }
}

/** The typed times of a block that is moved; without an end it takes as long as before. */
export function typedMove(text: string, { start, end }: Pick<Block, 'start' | 'end'>): Typed {
  const typed = typedTimes(text, start, end - start)
  return typed && ('problem' in typed || !typed.name)
    ? typed
    : { problem: 'Type its times as 9:30-11, or 9:30 45 min.' }
}

/** A block that ends on the next day lasts a night at the most, in minutes: longer is a slip. */
const NIGHT = 14 * 60

const clock = (text: string): number | null => typedClock(/[:.]/.test(text) ? text : `${text}:00`)

/** Blocks in order of their beginning; of two at once the shorter first, since it is the exception. */
export const inOrder = (plan: readonly Block[]): Block[] =>
  plan.toSorted((a, b) => a.start - b.start || a.end - b.end || (a.id < b.id ? -1 : 1))

/** The blocks of the day of a moment: those that begin on it, or reach into it. */
export function blocksOf(plan: readonly Block[], moment: number): Block[] {
  const from = dayOf(moment)
  const to = atMinute(from, 24 * 60)
  return inOrder(plan.filter(({ start, end }) => start < to && end > from))
}

/** What is planned for a moment: of several at once the one that began last. */
export const blockAt = (plan: readonly Block[], moment: number): Block | undefined =>
  inOrder(plan).findLast(({ start, end, skipped }) => !skipped && start <= moment && end > moment)

/** What is planned next after a moment, on the same day. */
export const blockAfter = (plan: readonly Block[], moment: number): Block | undefined =>
  blocksOf(plan, moment).find(({ start, skipped }) => !skipped && start > moment)

/** The block whose switch is offered: it has begun, was neither met nor skipped, and one is elsewhere. */
export function offered(
  { plan, desktops }: Pick<State, 'plan' | 'desktops'>,
  here: DesktopId,
  moment: number,
): Block | undefined {
  const block = blockAt(plan, moment)
  if (!block || block.met || block.desktop === here || block.desktop === EVERY) return undefined
  return desktops[block.desktop] ? block : undefined
}

/** When what is planned changes next after a moment: a block begins or ends. */
export function planChangesAt(plan: readonly Block[], moment: number): number | null {
  const times = plan.flatMap(({ start, end }) => [start, end]).filter((time) => time > moment)
  return times.length > 0 ? Math.min(...times) : null
}
