import { mixed, number, string } from 'yup'
import { command } from '@/core/commands/command'
import { ZONES } from '@/core/geometry/zones'
import { leadsTo, WAYS } from '@/core/keys/ways'
import { PUSH_TIME } from '@/core/model/kinds/binding'

/** What a way of the pointer does: a command, or nothing. */
const set = command({
  id: 'pointer.set',
  title: 'Change a pointer action',
  group: 'Shelf',
  unlisted: true,
  args: {
    way: string()
      .oneOf(WAYS.map(({ id }) => id))
      .required(),
    command: string().max(100).nullable(),
    args: mixed<Record<string, unknown>>(),
    time: number().integer().min(PUSH_TIME.least).max(PUSH_TIME.most),
  },
  plan: (draft, { way, command: given, args, time }) => {
    const now = leadsTo(draft.bindings, way)
    // Only the time may be given: what it does stays.
    const other = given ? { command: given, args: args ?? {} } : null
    const led = given === undefined ? now : other
    const others = draft.bindings.filter(({ keys }) => keys !== way)
    const own = {
      keys: way,
      command: led?.command ?? null,
      ...(led && { args: led.args, time: time ?? now?.time ?? PUSH_TIME.first }),
    }
    // What does what it does at first is not kept as one's own.
    const first = JSON.stringify(leadsTo([], way))
    const same = first === JSON.stringify(leadsTo([own], way))
    draft.bindings = same ? others : [...others, own]
    return { say: led ? `Set what “${way}” does` : `“${way}” does nothing` }
  },
})

/** The pointer stayed where nothing is bound: it is noted, so that accidents can be counted. */
const brush = command({
  id: 'pointer.brush',
  title: 'Note a push at an edge',
  group: 'Shelf',
  unlisted: true,
  step: false,
  args: { zone: string().oneOf(ZONES).required() },
  plan: (_draft, { zone }) => ({ journal: [{ kind: 'brush', zone }] }),
})

export const wayCommands = [set, brush]
