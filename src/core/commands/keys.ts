import { mixed, string } from 'yup'
import { asPressed, isBuiltIn } from '@/core/keys/bindings'
import { readKeys } from '@/core/keys/strokes'
import { isWay } from '@/core/keys/ways'
import type { Binding, State } from '@/core/model/types'
import { command, no } from './command'

const group = 'Shelf' as const
/** More than any keyboard needs. */
const MOST = 1000

const own = (state: State, keys: string): Binding | undefined =>
  state.bindings.find((one) => one.keys === keys)

const bind = command({
  id: 'keys.bind',
  title: 'Bind keys to a command',
  group,
  args: {
    keys: string().required().max(60),
    command: string().required().max(100),
    args: mixed<Record<string, unknown>>(),
  },
  can: (state, { keys }) => {
    if (!readKeys(keys)) return no(`“${keys}” cannot be pressed. Write it as on the key card.`)
    return state.bindings.length < MOST || no('There are too many bindings. Remove some.')
  },
  run: (draft, { keys, command: to, args }) => {
    const others = draft.bindings.filter((one) => one.keys !== keys)
    draft.bindings = [...others, { keys, command: to, args: args ?? {} }]
    return { say: `Bound ${asPressed(keys, draft)}` }
  },
})

const unbind = command({
  id: 'keys.unbind',
  title: 'Switch keys off',
  group,
  args: { keys: string().required().max(60) },
  can: (state, { keys }) =>
    isBuiltIn(state, keys) || own(state, keys)?.command
      ? true
      : no(`${keys} are not bound to anything.`),
  run: (draft, { keys }) => {
    const built = isBuiltIn(draft, keys)
    const others = draft.bindings.filter((one) => one.keys !== keys)
    draft.bindings = built ? [...others, { keys, command: null }] : others
    return { say: `Switched ${asPressed(keys, draft)} off` }
  },
})

const reset = command({
  id: 'keys.reset',
  title: 'Set all keys back to how they were at first',
  group,
  args: { keys: string().max(60) },
  can: (state, { keys }) =>
    state.bindings.some((one) => !isWay(one.keys) && (!keys || one.keys === keys)) ||
    no('No keys were changed.'),
  run: (draft, { keys }) => {
    draft.bindings = draft.bindings.filter((one) => isWay(one.keys) || (keys && one.keys !== keys))
    return {
      say: `${keys ? asPressed(keys, draft) : 'All keys'} are how they were at first`,
    }
  },
})

const open = command({
  id: 'keys.open',
  title: 'Bind keys…',
  group,
  step: false,
  args: { find: string().max(100) },
  run: (_draft, { find }) => ({ show: { view: 'bindings', ...(find && { find }) } }),
})

export const keyCommands = [open, bind, unbind, reset]
