import { array, mixed, object, string } from 'yup'
import { command, nameArgument, no, type Refusal, refused } from '@/core/commands/command'
import type { Deed, Sequence } from '@/core/model/kinds/sequence'
import type { State } from '@/core/model/state'

const group = 'Shelf' as const

/** More than a person keeps apart, and than one sequence needs. */
const SEQUENCES_MOST = 100
const DEEDS_MOST = 50

/** A sequence by its id or its name. */
const sequenceOf = (state: State, wanted: string): Sequence | Refusal =>
  state.sequences.find(({ id }) => id === wanted) ??
  state.sequences.find(({ name }) => name.toLowerCase() === wanted.toLowerCase()) ??
  no(`There is no sequence “${wanted}”.`)

const which = { sequence: string().required() }

/** One thing done in a sequence. */
const deed = object({
  command: string().required().max(100),
  args: mixed<Record<string, unknown>>().required(),
})

const keep = command({
  id: 'sequence.keep',
  title: 'Save what was done as a sequence',
  group,
  unlisted: true,
  args: {
    name: nameArgument().required(),
    deeds: array(deed.required()).required().min(1).max(DEEDS_MOST),
    /** The one that is to be so from now on; without, it is a new one. */
    sequence: string(),
  },
  plan: (draft, { name, deeds, sequence }, env) => {
    if (!name.trim()) return no('A sequence needs a name: type at least one letter.')
    const found = sequence === undefined ? undefined : sequenceOf(draft, sequence)
    if (refused(found)) return found
    if (!found && draft.sequences.length >= SEQUENCES_MOST)
      return no(`There are ${SEQUENCES_MOST} sequences, which is the most. Remove some first.`)
    if (deeds.some((one) => one.command.startsWith('sequence.')))
      return no('A sequence can’t run another one.')
    const made = { name: name.trim(), deeds: deeds as Deed[] }
    if (found) Object.assign(found, made)
    else draft.sequences.push({ id: env.id('sequence'), ...made })
    return { say: `Kept the sequence ${made.name}` }
  },
})

const remove = command({
  id: 'sequence.remove',
  title: 'Remove a sequence',
  group,
  unlisted: true,
  args: which,
  plan: (draft, { sequence }) => {
    const found = sequenceOf(draft, sequence)
    if (refused(found)) return found
    draft.sequences = draft.sequences.filter(({ id }) => id !== found.id)
    // Keys that ran it would be refused from now on.
    draft.bindings = draft.bindings.filter(({ args }) => args?.sequence !== found.id)
    return { say: `Removed the sequence ${found.name}` }
  },
})

const run = command({
  id: 'sequence.run',
  title: 'Run a sequence',
  group,
  unlisted: true,
  documents: true,
  args: which,
  expand: (state, { sequence }) => sequenceOf(state, sequence),
})

const open = command({
  id: 'sequences.open',
  title: 'Sequences: steps to run again…',
  group,
  step: false,
  plan: () => ({ show: { view: 'sequences' } }),
})

export const sequenceCommands = [open, keep, run, remove]
