import { mixed, string } from 'yup'
import { command, no } from '@/core/commands/command'
import { APP_KEY, cannotStand } from '@/core/keys/appKeys'
import { keysFor } from '@/core/keys/bindings'
import { isBuiltInAt } from '@/core/keys/places'
import { asPressed, LEADER } from '@/core/keys/sets'
import { eatTyping, readKeys } from '@/core/keys/strokes'
import { isWay } from '@/core/keys/ways'
import { type Binding, KEY_PLACES, type KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'

const group = 'Shelf' as const
/** More than any keyboard needs. */
const MOST = 1000

/** Keys, and where they are heard if not everywhere. */
const keyed = {
  keys: string().required().max(60),
  place: string().oneOf(KEY_PLACES),
}

const is =
  (keys: string | undefined, place: KeyPlace | undefined) =>
  (one: Binding): boolean =>
    !one.app && one.keys === keys && one.place === place

/** Keys as they are said: in a place they are pressed as they are written. */
const said = (state: State, keys: string, place: KeyPlace | undefined): string =>
  place ? `${keys} (${place})` : asPressed(keys, state)

const bind = command({
  id: 'keys.bind',
  title: 'Bind keys to a command',
  group,
  unlisted: true,
  args: {
    ...keyed,
    command: string().required().max(100),
    args: mixed<Record<string, unknown>>(),
  },
  plan: (draft, { keys, place, command: to, args }) => {
    if (!readKeys(keys)) return no(`“${keys}” cannot be pressed. Write it as on the key card.`)
    if (!place && eatTyping(keys))
      return no(`“${keys}” is typed into windows. Begin with Alt or Ctrl.`)
    if (draft.bindings.length >= MOST) return no('There are too many bindings. Remove some.')
    const others = draft.bindings.filter((one) => !is(keys, place)(one))
    draft.bindings = [...others, { keys, ...(place && { place }), command: to, args: args ?? {} }]
    return { say: `Bound ${said(draft, keys, place)}` }
  },
})

const unbind = command({
  id: 'keys.unbind',
  title: 'Switch keys off',
  group,
  unlisted: true,
  args: keyed,
  plan: (draft, { keys, place }) => {
    const built = isBuiltInAt(draft, keys, place)
    if (!built && !draft.bindings.find(is(keys, place))?.command)
      return no(`${keys} are not bound to anything.`)
    const others = draft.bindings.filter((one) => !is(keys, place)(one))
    const off = { keys, ...(place && { place }), command: null }
    draft.bindings = built ? [...others, off] : others
    return { say: `Switched ${said(draft, keys, place)} off` }
  },
})

const reset = command({
  id: 'keys.reset',
  title: 'Reset all keys',
  group,
  args: { ...keyed, keys: string().max(60) },
  plan: (draft, { keys, place }) => {
    const left = draft.bindings.filter((one) => isWay(one.keys) || (keys && !is(keys, place)(one)))
    if (left.length === draft.bindings.length) return no('No keys were changed.')
    draft.bindings = left
    return {
      say: `${keys ? said(draft, keys, place) : 'All keys'} are back to their defaults`,
    }
  },
})

const ofApp = command({
  id: 'keys.ofApp',
  title: 'Change an app’s key',
  group,
  unlisted: true,
  args: {
    app: string().required().max(100),
    /** The key the app has for it from the first. */
    key: string().required().max(60),
    /** The keys it is to have; the app's own where none are given. */
    keys: string().max(60),
  },
  plan: (draft, { app, key, keys = key }, env) => {
    const facts = env.app(app)
    if (!facts?.keys?.some(([own]) => own === key)) return no(`No app “${app}” has a key ${key}.`)
    const why = keys === key ? null : cannotStand(draft, facts, key, keys)
    if (why) return no(why)
    if (draft.bindings.length >= MOST) return no('There are too many bindings. Remove some.')
    const others = draft.bindings.filter((one) => one.app !== app || one.args?.key !== key)
    const made: Binding = { keys, app, command: APP_KEY, args: { key } }
    if (keys === key && others.length === draft.bindings.length) return no('No keys were changed.')
    draft.bindings = keys === key ? others : [...others, made]
    return { say: `${facts.name}: ${keys} ${keys === key ? 'is back' : `instead of ${key}`}` }
  },
})

const open = command({
  id: 'keys.open',
  title: 'Bind keys…',
  group,
  step: false,
  args: { find: string().max(100) },
  plan: (_draft, { find }) => ({ show: { view: 'bindings', ...(find && { find }) } }),
})

const leaveTyping = command({
  id: 'keys.leaveTyping',
  title: 'Leave the characters to Alt',
  group,
  unlisted: true,
  args: {
    to: string()
      .oneOf(['control', 'leader'] as const)
      .required(),
  },
  plan: (draft, { to }) => {
    if (draft.settings.keys !== 'auto') return no('How commands begin was chosen by hand.')
    draft.settings.keys = to
    const begin = to === 'control' ? 'Control and Option' : LEADER
    return {
      say: `Alt types characters here: commands begin with ${begin} from now on. ${keysFor(draft, 'settings.open')} lets you choose`,
    }
  },
})

const practise = command({
  id: 'keys.practise',
  title: 'Practise going to desktops',
  group,
  step: false,
  plan: ({ order }) =>
    order.length > 1
      ? { show: { view: 'practice' } }
      : no('This is the only desktop. Make others first.'),
})

const print = command({
  id: 'keys.print',
  title: 'Print the key card',
  group,
  step: false,
  plan: () => ({ show: { view: 'keys', print: true } }),
})

const markdown = command({
  id: 'keys.markdown',
  title: 'Export the key card as Markdown',
  group,
  step: false,
  plan: () => ({ effect: { does: 'export keys' } }),
})

export const keyCommands = [
  open,
  bind,
  unbind,
  ofApp,
  reset,
  leaveTyping,
  practise,
  print,
  markdown,
]
