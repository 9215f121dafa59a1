import { DIRECTIONS, type Direction } from '@/core/geometry/direction'
import type { Binding } from '@/core/model/kinds/binding'
import { currentId, focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { NEW_LETTER, strokesOfLetter, THIS_LETTER } from './letters'
import { asPressed, following, isOfSet, meant } from './sets'
import { eatTyping } from './strokes'
import { isWay } from './ways'

/**
 * The key language. A stroke is written as it is printed on the keys: `Alt+Shift+B`; a sequence
 * is strokes with a space between: `Alt+] B`. After the first stroke of a sequence Alt may be
 * held or not.
 */
export interface Bound {
  keys: string
  command: string
  args?: Record<string, unknown>
}

interface Verb {
  name: string
  says: string
  keys: string
  command: string
  args?: Record<string, unknown>
  /** What stands in for the verb where the place is a new desktop; null where nothing does. */
  makes?: string | null
}

export const VERBS: Verb[] = [
  { name: 'go', says: 'go there', keys: 'Alt+', command: 'desktop.go', makes: 'desktop.create' },
  { name: 'carry', says: 'take this window along', keys: 'Alt+Shift+', command: 'window.carry' },
  { name: 'send', says: 'send this window, stay', keys: 'Alt+] ', command: 'window.send' },
  {
    name: 'carry anyway',
    says: 'whatever its app does',
    keys: 'Alt+] Shift+',
    command: 'window.carry',
    args: { anyway: true },
  },
  {
    name: 'glance',
    says: 'look there, Enter stays',
    keys: 'Alt+[ ',
    command: 'desktop.glance',
    makes: null,
  },
]

export const PLACES = [
  { key: '.', to: 'next', says: 'the next desktop' },
  { key: ',', to: 'previous', says: 'the previous desktop' },
  { key: 'PageUp', to: 'above', says: 'the one in the row above' },
  { key: 'PageDown', to: 'below', says: 'the one in the row below' },
  { key: '\\', to: 'last', says: 'the one before this' },
  { key: NEW_LETTER, to: 'new', says: 'a new desktop' },
]

/** First strokes of sequences, with what the Line says while it waits for the rest. */
export const PREFIXES: Record<string, string> = {
  'Alt+]': 'Send to',
  'Alt+[': 'Glance at',
  'Alt+Shift+;': 'This desktop or window',
  [`Alt+${THIS_LETTER}`]: 'This desktop or window',
  // Only pushed: with a keyboard it is one chord.
  'Alt+Shift': 'Take along to',
}

/** The key of a direction. */
const arrow = (to: Direction): string => `${to[0]?.toUpperCase()}${to.slice(1)}`

const digits = [1, 2, 3, 4, 5, 6, 7, 8, 9]

export const FIXED: Bound[] = [
  { keys: "Alt+'", command: 'window.minimise' },
  { keys: "Alt+Shift+'", command: 'window.maximise' },
  { keys: 'Alt+Shift+; J', command: 'window.bringBack' },
  { keys: 'Alt+Enter', command: 'window.solo' },
  { keys: 'Alt+Shift+Enter', command: 'window.pair' },
  ...DIRECTIONS.map((to) => ({
    keys: `Alt+Shift+; ${arrow(to)}`,
    command: 'window.side',
    args: { to },
  })),
  { keys: 'Alt+Shift+; S', command: 'pair.swap' },
  { keys: 'Alt+0', command: 'windows.sweep' },
  { keys: 'Alt+Shift+0', command: 'windows.isolate' },
  { keys: 'Alt+X', command: 'window.pad' },
  { keys: 'Alt+Shift+; Q', command: 'arrange.columns' },
  { keys: 'Alt+Shift+; W', command: 'arrange.rows' },
  { keys: 'Alt+Shift+; N', command: 'arrange.large' },
  { keys: 'Alt+Shift+; X', command: 'arrange.cells' },
  { keys: 'Alt+Shift+; B', command: 'arrange.back' },
  { keys: 'Alt+Backspace', command: 'window.close' },
  { keys: 'Alt+Shift+Backspace', command: 'window.reopen' },
  { keys: 'Ctrl+S', command: 'window.save' },
  { keys: 'Alt+Shift+; T', command: 'window.askTitle' },
  { keys: 'Alt+Shift+; D', command: 'window.export' },
  { keys: 'Alt+Shift+; C', command: 'window.copyReference' },
  { keys: 'Alt+Z', command: 'history.undo' },
  { keys: 'Alt+Shift+Z', command: 'history.redo' },
  { keys: 'Alt+Shift+/', command: 'shelf.keys' },
  { keys: 'Alt+/', command: 'loft.open' },
  { keys: 'Alt+=', command: 'unstack.open' },
  { keys: 'Alt+Shift+=', command: 'unstack.open', args: { app: true } },
  { keys: 'Alt+;', command: 'line.open' },
  { keys: 'Alt+`', command: 'trail.open' },
  { keys: 'Alt+Shift+`', command: 'trail.open', args: { back: true } },
  ...DIRECTIONS.map((to) => ({
    keys: `Alt+${arrow(to)}`,
    command: 'window.focusToward',
    args: { to },
  })),
  ...DIRECTIONS.map((to) => ({
    keys: `Alt+Shift+${arrow(to)}`,
    command: 'window.toDisplay',
    args: { to },
  })),
  ...DIRECTIONS.map((to) => ({
    keys: `Alt+Shift+; Shift+${arrow(to)}`,
    command: 'window.edge',
    args: { to },
  })),
  { keys: 'Alt+Shift+; ;', command: 'line.about' },
  { keys: 'Alt+Shift+; Shift+F', command: 'line.float' },
  { keys: 'Alt+Shift+; Shift+T', command: 'desktop.notes' },
  { keys: 'Alt+Shift+; Enter', command: 'shelf.fullScreen' },
  { keys: 'Alt+Shift+X', command: 'shelf.cover' },
  { keys: 'Alt+Shift+; Shift+S', command: 'settings.open' },
  { keys: 'Alt+Shift+; Shift+K', command: 'keys.open' },
  { keys: 'Alt+Shift+; Z', command: 'displays.arrange' },
  { keys: 'Alt+Shift+; Tab', command: 'display.focus', args: { to: 'next' } },
  { keys: 'Alt+Shift+; R', command: 'desktop.askName' },
  { keys: 'Alt+Shift+; L', command: 'desktop.askLetter' },
  { keys: 'Alt+Shift+; V', command: 'desktop.askLook' },
  { keys: 'Alt+Shift+; F', command: 'desktop.previewFold' },
  { keys: 'Alt+Shift+; A', command: 'desktop.previewFoldOthers' },
  { keys: 'Alt+Shift+; ,', command: 'desktop.reorder', args: { by: -1 } },
  { keys: 'Alt+Shift+; .', command: 'desktop.reorder', args: { by: 1 } },
  { keys: 'Alt+Shift+; =', command: 'grid.addRow' },
  { keys: 'Alt+Shift+; Shift+=', command: 'grid.addColumn' },
  { keys: 'Alt+Shift+; -', command: 'grid.removeRow' },
  { keys: 'Alt+Shift+; Shift+-', command: 'grid.removeColumn' },
  ...digits.map((columns) => ({
    keys: `Alt+Shift+; ${columns}`,
    command: 'grid.columns',
    args: { columns },
  })),
  { keys: 'Alt+Shift+; U', command: 'unstack.desktop' },
  { keys: 'Alt+Shift+; G', command: 'loft.byApp' },
  { keys: 'Alt+Shift+; E', command: 'window.everywhere' },
  { keys: 'Alt+Shift+; H', command: 'home.ask' },
  { keys: 'Alt+Shift+; Shift+H', command: 'home.list' },
  { keys: 'Alt+Shift+; Y', command: 'window.why' },
  { keys: 'Alt+Shift+; I', command: 'shelf.inspector' },
  { keys: 'Alt+Shift+; P', command: 'home.askPutRight' },
  { keys: 'Alt+Shift+; Home', command: 'window.goHome' },
  { keys: 'Alt+Shift+; O', command: 'shelf.openFile' },
  { keys: 'Alt+Shift+; K', command: 'rack.walk' },
  { keys: 'Alt+Shift+; Shift+N', command: 'rack.furl' },
  { keys: 'Alt+Shift+; Shift+A', command: 'apps.walk' },
  { keys: 'Alt+Shift+; M', command: 'shelf.menu' },
  { keys: 'Alt+Home', command: 'attention.next' },
  { keys: 'Alt+Shift+Home', command: 'attention.back' },
  { keys: 'Alt+Shift+; Backspace', command: 'desktop.stow' },
  { keys: 'Alt+Shift+; Shift+P', command: 'plan.open' },
  { keys: 'Alt+Shift+; Shift+L', command: 'log.open' },
  { keys: 'Alt+Shift+; Shift+B', command: 'past.open' },
  { keys: 'Alt+Shift+; /', command: 'plan.go' },
  { keys: 'Alt+Shift+; Shift+R', command: 'runs.open' },
  { keys: "Alt+Shift+; '", command: 'window.tether' },
  ...digits.slice(0, 6).map((nth) => ({
    keys: `Alt+Shift+; Shift+${nth}`,
    command: 'tether.use',
    args: { nth },
  })),
  { keys: 'Alt+Shift+; Shift+W', command: 'attention.list' },
  { keys: 'Alt+Shift+; Space', command: 'desktop.quiet' },
  { keys: 'Alt+Shift+; Shift+Space', command: 'desktop.askQuiet' },
  { keys: 'Alt+End', command: 'app.cycle' },
  { keys: 'Alt+Shift+End', command: 'app.cycle', args: { back: true } },
  ...digits.flatMap((slot) => [
    { keys: `Alt+${slot}`, command: 'app.launch', args: { slot } },
    { keys: `Alt+Shift+${slot}`, command: 'app.launch', args: { slot, another: true } },
  ]),
]

/** The bindings of every verb to one place. */
function spoken(key: string, to: string): Bound[] {
  return VERBS.flatMap(({ keys, command, args, makes }) => {
    if (to !== 'new' || makes === undefined)
      return { keys: keys + key, command, args: { ...args, to } }
    return makes ? { keys: keys + key, command: makes } : []
  })
}

const PLACED: Bound[] = PLACES.flatMap(({ key, to }) => spoken(key, to))

/** Where a desktop has its letter. */
const NEW_OTHERWISE: Bound[] = spoken('Insert', 'new')

type Bindable = Pick<State, 'order' | 'desktops' | 'bindings'>

let memo: {
  letters: string
  own: Binding[]
  bound: Map<string, Bound>
  beginnings: Set<string>
} | null = null

/** The letters of the desktops in their order, with a space between. */
export const lettersOf = (state: Pick<State, 'order' | 'desktops'>): string =>
  state.order.map((id) => state.desktops[id]?.letter ?? '-').join(' ')

/** The first stroke of all that is said of this desktop or window. */
export const THIS = 'Alt+Shift+;'
/** The same with a lighter stroke, as long as no desktop has its letter. */
export const THIS_LIGHT = `Alt+${THIS_LETTER}`

const LIGHT: Bound[] = FIXED.filter(({ keys }) => keys.startsWith(`${THIS} `)).map((bound) => ({
  ...bound,
  keys: THIS_LIGHT + bound.keys.slice(THIS.length),
}))

/** What keys say by themselves: what is fixed, and the call letters as they are. */
function builtIn(letters: string): Bound[] {
  const called = letters.split(' ').filter((letter) => letter !== '-')
  const light = called.some((letter) => letter.startsWith(THIS_LETTER)) ? [] : LIGHT
  // A desktop that has the letter of a new one keeps it: that is said otherwise then.
  const taken = called.some((letter) => letter.startsWith(NEW_LETTER))
  const places = taken
    ? [...PLACED.filter(({ keys }) => !keys.endsWith(NEW_LETTER)), ...NEW_OTHERWISE]
    : PLACED
  return [
    ...FIXED,
    ...light,
    ...places,
    ...called.flatMap((one) => spoken(strokesOfLetter(one), one)),
  ]
}

/** Whether keys say something by themselves, which can be switched off but not removed. */
export const isBuiltIn = (state: Bindable, keys: string): boolean =>
  builtIn(lettersOf(state)).some((bound) => bound.keys === keys)

/** Every binding as it is now, by its keys: built in, by call letter, then the person's own. */
export function bindings(state: Bindable): ReadonlyMap<string, Bound> {
  return worked(state).bound
}

function worked(state: Bindable): NonNullable<typeof memo> {
  const letters = lettersOf(state)
  if (memo && memo.letters === letters && memo.own === state.bindings) return memo
  const bound = new Map(builtIn(letters).map((binding) => [binding.keys, binding]))
  // Kept by an earlier version, or brought in: typing goes to windows, whatever is bound.
  for (const { keys, command, args, place, app } of state.bindings)
    if (place || app || isWay(keys) || eatTyping(keys)) continue
    else if (command) bound.set(keys, { keys, command, args })
    else bound.delete(keys)
  memo = { letters, own: state.bindings, bound, beginnings: beginningsOf(bound.keys()) }
  return memo
}

/** What sequences begin with. */
export function beginningsOf(all: Iterable<string>): Set<string> {
  const beginnings = new Set<string>()
  for (const keys of all) {
    const strokes = keys.split(' ')
    for (let length = 1; length < strokes.length; length++)
      beginnings.add(strokes.slice(0, length).join(' '))
  }
  return beginnings
}

export type Heard =
  | { kind: 'command'; bound: Bound }
  /** The start of a sequence; the rest is awaited. */
  | { kind: 'prefix'; keys: string }
  /** After a prefix: a stroke that means nothing there. */
  | { kind: 'unknown'; keys: string }
  /** Not ours: the stroke goes where it would have gone. */
  | { kind: 'nothing' }

/** What a stroke means after what was heard before it (`''` at the start). */
export function hear(state: Bindable, before: string, stroke: string): Heard {
  const written = before ? withoutShift(before, [following(stroke)]) : [stroke]
  const { bound, beginnings } = worked(state)
  for (const one of written) {
    const keys = before ? `${before} ${one}` : one
    const found = bound.get(keys)
    if (found) return { kind: 'command', bound: found }
    if (beginnings.has(keys)) return { kind: 'prefix', keys }
  }
  return before ? { kind: 'unknown', keys: `${before} ${written[0]}` } : { kind: 'nothing' }
}

/** Whether the shelf takes a first stroke, as it is pressed, so that no app gets it. */
export function isTaken(state: State, stroke: string): boolean {
  const said = meant(stroke, state, { pending: '', layer: false })
  if (said === null) return false
  return isOfSet(stroke, state) || hear(state, '', said).kind !== 'nothing'
}

/** After Shift and the first letter of two it makes no difference whether Shift is held still. */
export const withoutShift = (before: string, strokes: string[]): string[] =>
  /Shift\+\p{L}$/u.test(before)
    ? strokes.flatMap((stroke) => [stroke, stroke.replace('Shift+', '')])
    : strokes

/** The keys of a command with these arguments, as they are pressed; those bound by the person come first. */
export function keysFor(state: State, command: string, args: object = {}): string | undefined {
  const wanted = JSON.stringify(named(state, args))
  let found: string | undefined
  for (const bound of bindings(state).values())
    if (bound.command === command && JSON.stringify(lettered(state, bound.args ?? {})) === wanted)
      found = bound.keys
  return found && asPressed(found, state)
}

/** Desktops go by their call letter in bindings; the window or desktop one is on goes unnamed. */
function named(state: State, args: object): object {
  const { to, window, desktop, at: _at, anyway: _anyway, ...rest } = args as Record<string, unknown>
  if (window !== undefined && window !== focusId(state)) return { ...rest, to, window }
  if (desktop !== undefined && desktop !== currentId(state)) return { ...rest, to, desktop }
  return to === undefined ? rest : lettered(state, { ...rest, to })
}

/** Arguments with the letter of a desktop for its id, where they name one that has a letter. */
export function lettered(state: Pick<State, 'desktops'>, args: object): object {
  const { to } = args as { to?: unknown }
  const letter = typeof to === 'string' ? state.desktops[to]?.letter : undefined
  return letter ? { ...args, to: letter } : args
}
