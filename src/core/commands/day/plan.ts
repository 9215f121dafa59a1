import { array, boolean, number, object, string } from 'yup'
import { goTo } from '@/core/commands/change'
import { command, no, noTo, type Refusal, refused } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import { type Block, PLAN_MOST } from '@/core/model/kinds/block'
import { currentId, desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { blockAt, dayOf, inOrder, typedBlock, typedMove } from '@/core/plan/plan'

const group = 'Desktops' as const

const MINUTE = 60_000

const at = (time: number): string =>
  new Date(time).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })

const span = ({ start, end }: Pick<Block, 'start' | 'end'>): string => `${at(start)} to ${at(end)}`

const blockOf = (state: State, id: string): Block | Refusal =>
  state.plan.find((block) => block.id === id) ?? no('There is no such block.')

/** What is planned for now. */
const plannedNow = (state: State, now: number): Block | Refusal =>
  blockAt(state.plan, now) ?? no('Nothing is planned for now.')

const which = { block: string().required() }

/** Why as many blocks more cannot be planned, or null. */
const roomFor = (state: State, more: number): Refusal | null =>
  state.plan.length + more <= PLAN_MOST
    ? null
    : no(`There would be more than ${PLAN_MOST} blocks. Remove some first.`)

const add = command({
  id: 'plan.add',
  title: 'Plan a block of the day',
  group,
  unlisted: true,
  args: {
    /** As it is typed: `9:30-11 Model`. */
    text: string().required().max(300),
    /** A moment of the day it is for; without, today. */
    day: number(),
  },
  plan: (draft, { text, day }, env) => {
    const typed = typedBlock(text, day ?? env.now)
    if ('problem' in typed) return noTo('text', typed.problem)
    const found = named(draft, typed.name)
    if (refused(found)) return found
    const refusal = roomFor(draft, 1)
    if (refusal) return refusal
    const { start, end } = typed
    const other = draft.plan.find((block) => block.start < end && start < block.end)
    const over = other && `; it overlaps ${draft.desktops[other.desktop]?.name}, ${span(other)}`
    draft.plan.push({ id: env.id('block'), desktop: found.id, start, end })
    return { say: `Planned ${found.name}, ${span(typed)}${over ?? ''}` }
  },
})

const put = command({
  id: 'plan.put',
  title: 'Put blocks into the plan',
  group,
  unlisted: true,
  args: {
    blocks: array(
      object({
        desktop: string().required(),
        start: number().required(),
        end: number().required(),
        title: string().max(200),
        /** What it is known by in a calendar: a block that came from there is moved, not made again. */
        source: string().max(500),
      }).required(),
    )
      .required()
      .min(1),
  },
  plan: (draft, { blocks }, env) => {
    const wrong = blocks.find(({ desktop: id, start, end }) => !draft.desktops[id] || end <= start)
    if (wrong) return no('A block has no desktop, or ends before it begins. Nothing was changed.')
    const from = bySource(draft.plan)
    const refusal = roomFor(draft, blocks.filter(({ source }) => !from.has(source ?? '')).length)
    if (refusal) return refusal
    let moved = 0
    for (const given of blocks) {
      const { source, ...rest } = given
      const found = source === undefined ? undefined : from.get(source)
      if (found) {
        if (found.start !== rest.start || found.end !== rest.end) moved++
        // It may be called by its desktop alone now.
        delete found.title
        moveTo(found, rest)
      } else draft.plan.push({ id: env.id('block'), ...given })
    }
    const [one] = blocks
    if (blocks.length === 1 && one)
      return { say: `Planned ${desktop(draft, one.desktop).name}, ${span(one)}` }
    return { say: `Planned ${blocks.length} blocks${moved ? `, ${moved} of them moved` : ''}` }
  },
})

const move = command({
  id: 'plan.move',
  title: 'Move a block of the plan',
  group,
  unlisted: true,
  args: {
    ...which,
    start: number(),
    end: number(),
    /** The times as they are typed, in place of both: `9:30-11`. */
    text: string().max(100),
  },
  plan: (draft, args) => {
    const found = blockOf(draft, args.block)
    if (refused(found)) return found
    const times = movedTimes(found, args)
    if ('problem' in times) return no(times.problem)
    if (times.end <= times.start) return no('A block ends after it begins.')
    moveTo(found, { start: times.start, end: times.end })
    return { say: `${desktop(draft, found.desktop).name}: ${span(found)}` }
  },
})

/** Blocks by what they are known by in the calendar they came from; an own one by its id. */
const bySource = (plan: readonly Block[]): Map<string, Block> =>
  new Map(plan.map((block) => [block.source ?? block.id, block]))

/** What begins at another time is offered when that comes. */
function moveTo(block: Block, times: Pick<Block, 'start' | 'end'> & Partial<Block>): void {
  if (times.start !== block.start) delete block.met
  Object.assign(block, times)
}

const movedTimes = (
  block: Block,
  { start = block.start, end = block.end, text }: { start?: number; end?: number; text?: string },
) => (text === undefined ? { start, end } : typedMove(text, block))

const remove = command({
  id: 'plan.remove',
  title: 'Remove a block of the plan',
  group,
  unlisted: true,
  args: which,
  plan: (draft, { block }) => {
    const found = blockOf(draft, block)
    if (refused(found)) return found
    draft.plan = draft.plan.filter(({ id }) => id !== block)
    return { say: `Removed ${desktop(draft, found.desktop).name}, ${span(found)}` }
  },
})

const skip = command({
  id: 'plan.skip',
  title: 'Skip a block of the plan',
  group,
  args: { block: string() },
  plan: (draft, { block }, { now }) => {
    const found = block === undefined ? plannedNow(draft, now) : blockOf(draft, block)
    if (refused(found)) return found
    if (found.skipped) delete found.skipped
    else found.skipped = true
    const { name } = desktop(draft, found.desktop)
    return { say: found.skipped ? `Skipped ${name}, ${span(found)}` : `${name} is planned again` }
  },
})

/** What is on now and all after it that day move together. */
const late = command({
  id: 'plan.late',
  title: 'Move the day 15 minutes later',
  group,
  args: { minutes: number().integer().min(-720).max(720) },
  plan: (draft, { minutes = 15 }, { now }) => {
    const rest = ahead(draft, now)
    if (rest.length === 0) return no('Nothing is planned for the rest of the day.')
    const on = blockAt(draft.plan, now)
    for (const block of rest) {
      // What has begun goes on longer; what is to come begins later.
      if (block !== on) block.start += minutes * MINUTE
      block.end = Math.max(block.end + minutes * MINUTE, block.start + MINUTE)
    }
    return {
      say: `The rest of the day is ${Math.abs(minutes)} min ${minutes < 0 ? 'earlier' : 'later'}`,
    }
  },
})

const ahead = (state: State, now: number): Block[] =>
  inOrder(state.plan).filter(({ end, start }) => end > now && dayOf(start) <= dayOf(now))

const goes = command({
  id: 'plan.goes',
  title: 'Switch when a block begins',
  group,
  unlisted: true,
  args: { ...which, on: boolean() },
  plan: (draft, { block, on }) => {
    const found = blockOf(draft, block)
    if (refused(found)) return found
    if (on ?? !found.goes) found.goes = true
    else delete found.goes
    const { name } = desktop(draft, found.desktop)
    return { say: found.goes ? `Goes to ${name} by itself` : `Offers ${name} when it begins` }
  },
})

const go = command({
  id: 'plan.go',
  title: 'Go to what is planned for now',
  group,
  step: false,
  plan: (draft, _args, { now }) => {
    const found = plannedNow(draft, now)
    if (refused(found)) return found
    const from = currentId(draft)
    if (found.desktop === from) return no('You are where you planned to be.')
    found.met = true
    goTo(draft, found.desktop)
    return {
      announce: `${desktop(draft, found.desktop).name}, as planned`,
      journal: [{ kind: 'switch', from, to: found.desktop }],
    }
  },
})

const leave = command({
  id: 'plan.leave',
  title: 'Dismiss the plan’s suggestion',
  group,
  unlisted: true,
  step: false,
  args: which,
  plan: (draft, { block }) => {
    const found = blockOf(draft, block)
    if (refused(found)) return found
    // It is not offered again.
    found.met = true
    return undefined
  },
})

const open = command({
  id: 'plan.open',
  title: 'Plan of the day…',
  group,
  step: false,
  plan: () => ({ show: { view: 'plan' } }),
})

const bring = command({
  id: 'plan.import',
  title: 'Plan from a calendar file…',
  group,
  step: false,
  args: {
    /** What an iCalendar file says, and its name; without, the person chooses one. */
    text: string(),
    name: string().max(300),
  },
  plan: (_draft, { text, name = 'calendar' }) => ({
    show: { view: 'import calendar', ...(text !== undefined && { given: { text, name } }) },
  }),
})

const send = command({
  id: 'plan.export',
  title: 'Export the plan as a calendar',
  group,
  step: false,
  plan: ({ plan }) =>
    plan.length > 0 ? { effect: { does: 'export calendar' } } : no('Nothing is planned.'),
})

export const planCommands = [open, bring, send, go, late, skip, add, put, move, goes, remove, leave]
