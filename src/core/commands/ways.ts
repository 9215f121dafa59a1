import { mixed, number, string } from 'yup'
import { leadsTo, PUSH_TIME, WAYS, ZONES } from '@/core/keys/ways'
import { command } from './command'

/** What a way of the pointer does: a command, or nothing. */
const set = command({
  id: 'pointer.set',
  title: 'Set what a way of the pointer does',
  group: 'Shelf',
  args: {
    way: string()
      .oneOf(WAYS.map(({ id }) => id))
      .required(),
    command: string().max(100).nullable(),
    args: mixed<Record<string, unknown>>(),
    time: number().integer().min(PUSH_TIME.least).max(PUSH_TIME.most),
  },
  run: (draft, { way, command: given, args, time }) => {
    const now = leadsTo(draft.bindings, way)
    const to = given === undefined ? (now?.command ?? null) : given
    const first = WAYS.find(({ id }) => id === way)
    const others = draft.bindings.filter(({ keys }) => keys !== way)
    const own = {
      keys: way,
      command: to,
      ...(to && { args: (given === undefined ? now?.args : args) ?? {} }),
      ...((time ?? now?.time) && { time: time ?? now?.time }),
    }
    const same =
      (first?.command ?? null) === to &&
      JSON.stringify(first?.args ?? {}) === JSON.stringify(own.args ?? {}) &&
      (own.time ?? PUSH_TIME.first) === PUSH_TIME.first
    draft.bindings = same ? others : [...others, own]
    return { say: to ? `Set what “${way}” does` : `“${way}” does nothing` }
  },
})

/** The pointer stayed where nothing is bound: it is noted, so that accidents can be counted. */
const brush = command({
  id: 'pointer.brush',
  title: 'Note that the pointer stayed at an edge',
  group: 'Shelf',
  step: false,
  args: { zone: string().oneOf(ZONES).required() },
  run: (_draft, { zone }) => ({ journal: [{ kind: 'brush', zone }] }),
})

export const wayCommands = [set, brush]
