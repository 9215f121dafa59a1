import { GROUPS } from '@/core/commands/command'
import { registry } from '@/core/commands/registry'
import { appKeys } from '@/core/keys/appKeys'
import {
  type Bound,
  bindings,
  isTaken,
  keysFor,
  PLACES,
  THIS,
  THIS_LIGHT,
  VERBS,
} from '@/core/keys/bindings'
import { KEYMAPS } from '@/core/keys/keymaps'
import { strokesOfLetter } from '@/core/keys/letters'
import { bindingsIn } from '@/core/keys/places'
import { asPressed, BEGINNINGS } from '@/core/keys/sets'
import type { AppFacts } from '@/core/model/kinds/app'
import { KEY_PLACES, type KeyPlace } from '@/core/model/kinds/binding'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { allWords } from '@/core/text/plain'
import { AFTER_GROUPS, afterGroup } from './after'

interface CardRow {
  keys: string
  does: string
}

/** Rows that belong together. */
export interface CardGroup {
  name: string
  /** What begins their keys, where most have something in common. */
  begin?: string
  rows: CardRow[]
}

export interface Card {
  /** What begins every command in the set of keys that is used. */
  begin: string
  verbs: CardRow[]
  places: CardRow[]
  groups: CardGroup[]
  /** What follows the first stroke that many have in common. */
  after: CardGroup
  /** What plain keys do in the rack, the loft, and so on. */
  there: CardGroup[]
}

const spoken = new Set(VERBS.flatMap(({ command, makes }) => [command, makes]))

type AppName = (id: string) => string

/** The key card: what can be said with keys, made from the bindings as they are now. */
export function keyCard(state: State, appName: AppName): Card {
  const groups = GROUPS.map((name): CardGroup => ({ name, rows: [] }))
  const often = oftenFirst(state)
  const after: CardRow[] = []
  for (const { keys, command, args } of bindings(state).values()) {
    const does = spoken.has(command) ? null : inWords(state, command, args, appName)
    if (!does || isTwice(state, keys)) continue
    const written = withArrows(keys, command)
    const group = groups.find(({ name }) => name === registry.get(command)?.group)
    // What follows a first stroke keeps it, “J X”: by itself it would look like a chord.
    if (keys.startsWith(often)) after.push({ keys: written.replace(/^Alt\+/, ''), does })
    else group?.rows.push({ keys: asPressed(written, state), does })
  }
  const called = state.order.map((id) => desktop(state, id)).filter(({ letter }) => letter)
  return {
    begin: BEGINNINGS[state.settings.keys],
    verbs: VERBS.map(({ name, says, keys }) => ({
      keys: `${asPressed(keys, state)}…`,
      does: `${name}: ${says}`,
    })),
    places: [
      ...called.map(({ letter, name }) => ({ keys: strokesOfLetter(letter ?? ''), does: name })),
      ...PLACES.map(({ key, says }) => ({ keys: key, does: says })),
    ],
    groups: groups.filter(({ rows }) => rows.length > 0),
    after: { name: `After ${asPressed(often.trim(), state)}`, rows: after },
    there: KEY_PLACES.map((place) => ({
      name: capital(WHERE_HEARD[place]),
      rows: rowsIn(state, place),
    })),
  }
}

/** A card as groups, in the order they are read. */
export function cardGroups({ begin, verbs, places, groups, after, there }: Card): CardGroup[] {
  const said: CardGroup[] = [{ name: 'Verbs', rows: verbs }, ...groups].map((group) => ({
    ...group,
    begin,
  }))
  const [first, ...rest] = said
  return [first, { name: 'Places', rows: places }, ...rest, after, ...there].flatMap((group) =>
    group && group.rows.length > 0 ? group : [],
  )
}

/** The first page of a card: the twenty that matter. */
export function firstPage(state: State, { begin, verbs }: Card, appName: AppName): CardGroup[] {
  const row = (command: string, args?: Bound['args']): CardRow[] => {
    const keys = keysFor(state, command, args)
    const does = inWords(state, command, args, appName)
    return keys && does ? [{ keys: withArrows(keys, command), does }] : []
  }
  const rows = (...commands: string[]) => commands.flatMap((command) => row(command))
  const near = PLACES.filter(({ key }) => !key.startsWith('Page'))
  const first = asPressed(oftenFirst(state).trim(), state)
  return [
    { name: 'Say a verb…', begin, rows: verbs.filter((_, at) => !VERBS[at]?.args) },
    {
      name: '…and a place',
      rows: [
        { keys: 'B…', does: 'a desktop, by the letter on its mark' },
        ...near.map(({ key, says }) => ({ keys: key, does: says })),
      ],
    },
    {
      name: 'See and find',
      begin,
      rows: rows('loft.open', 'line.open', 'trail.open', 'unstack.open', 'attention.next'),
    },
    {
      name: 'This window',
      begin,
      rows: [
        ...row('window.focusToward', { to: 'left' }),
        ...rows('window.pad', 'window.solo', 'window.minimise', 'window.close'),
      ],
    },
    {
      name: 'And more',
      begin,
      rows: [
        ...rows('windows.sweep', 'history.undo'),
        { keys: `${begin}1…9`, does: 'the app with that number; again: its next window' },
        { keys: first, does: 'then another key: more for window and desktop' },
      ],
    },
  ]
}

/** The keys that apps have of their own, a group for each; each is heard where the shelf does not take it. */
export const appGroups = (state: State, apps: readonly (AppFacts | undefined)[]): CardGroup[] =>
  apps.flatMap((app) => {
    const rows = app ? appKeys(state, app).filter(({ keys }) => !isTaken(state, keys)) : []
    return app && rows.length > 0
      ? { name: app.name, rows: rows.map(({ keys, does }) => ({ keys, does })) }
      : []
  })

/** Rows without what begins the keys of their group, which stands above them. */
export const shortRows = ({ rows, begin = '' }: CardGroup): CardRow[] =>
  rows.map(({ keys, does }) => ({
    keys: keys.startsWith(begin) ? keys.slice(begin.length) : keys,
    does,
  }))

/** The groups with the rows that have all words of a query in their keys or in what they do. */
export function searchCard(card: Card, query: string, apps: CardGroup[] = []): CardGroup[] {
  const has = allWords(query)
  return [...cardGroups(card), ...apps].flatMap(({ name, rows, ...more }) => {
    const found = rows.filter(({ keys, does }) => has(`${name} ${keys} ${does}`))
    return found.length > 0 ? { name, rows: found, ...more } : []
  })
}

/** Where the keys of a place are heard, in words. */
export const WHERE_HEARD: Record<KeyPlace, string> = {
  rack: 'in the rack',
  loft: 'in the loft',
  unstack: 'in unstack',
  trail: 'in the trail',
  pad: 'on the pad',
  glance: 'while glancing',
  run: 'in a run',
}

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** What is said without keys of its own: a letter for each desktop or window. */
const LETTERS: Partial<Record<KeyPlace, CardRow[]>> = {
  loft: [
    { keys: 'B…', does: 'send to that letter’s desktop' },
    { keys: 'Shift+B…', does: 'walk to that row' },
  ],
  unstack: [{ keys: 'A…', does: 'pick the window with that letter' }],
}

/** What keys do in a place; several that do the same, such as the arrows, are told in one row. */
function rowsIn(state: State, place: KeyPlace): CardRow[] {
  const rows = new Map<string, { keys: string[]; does: string }>()
  for (const { keys, command, args } of bindingsIn(state, place).values()) {
    const does = wordsIn(place, command, args)
    if (!does) continue
    const row = rows.get(does) ?? { keys: [], does }
    row.keys.push(keys)
    rows.set(does, row)
  }
  const made = [...rows.values()].map(({ keys, does }) => ({ keys: together(keys), does }))
  return [...(LETTERS[place] ?? []), ...made]
}

/** Something a key does in a place, for those that push it. */
export interface Push extends Bound {
  keys: string
  /** What this one does alone. */
  alone: string
}

/** What keys do in a place, several that do the same together, each by itself to be pushed. */
export function pushesIn(state: State, place: KeyPlace): { does: string; pushes: Push[] }[] {
  const rows = new Map<string, Push[]>()
  for (const { keys, command, args = {} } of bindingsIn(state, place).values()) {
    const does = wordsIn(place, command, args)
    const alone = wordsIn(place, command, args, 'alone')
    if (!does || !alone) continue
    const row = rows.get(does) ?? []
    // Of several keys for the same the first will do.
    if (row.some((one) => one.alone === alone)) continue
    rows.set(does, [...row, { keys, command, args, alone }])
  }
  return [...rows].map(([does, pushes]) => ({ does, pushes }))
}

/** What a command or an act does in a place; null where nothing needs to be said. */
export function wordsIn(
  place: KeyPlace,
  command: string,
  args: Record<string, unknown> = {},
  told: 'does' | 'alone' = 'does',
): string | null {
  if (command === 'loft:send' || command === 'loft:row') return null
  const wanted = JSON.stringify(args)
  const same = KEYMAPS[place].filter((one) => one.command === command)
  const found = same.find((one) => JSON.stringify(one.args ?? {}) === wanted) ?? same[0]
  return found?.[told] ?? registry.get(command)?.title.replace(/…$/, '') ?? command
}

const ARROW_KEYS = ['Left', 'Right', 'Up', 'Down']
const DIGIT_KEYS = [...'123456789']

/** Plain keys as people call them. */
export const legible = (keys: string): string => (keys === 'Shift+=' ? '+' : keys)

/** Several keys as they are told together: `arrows`, `Shift+arrows`, `1…9`, or side by side. */
function together(keys: string[]): string {
  const all = (wanted: string[], before = '') =>
    keys.length === wanted.length && wanted.every((one) => keys.includes(before + one))
  if (all(ARROW_KEYS)) return 'arrows'
  if (all(ARROW_KEYS, 'Shift+')) return 'Shift+arrows'
  if (all(DIGIT_KEYS)) return '1…9'
  const shown = keys.map(legible)
  const last = shown.at(-1)?.replace(/^Shift\+(?=.)/, '')
  return keys.length > 4 ? `${shown[0]}…${last}` : shown.join(' ')
}

/** The first stroke that many have in common, with a space after it: the lighter, where it is heard. */
const oftenFirst = (state: State): string =>
  [...bindings(state).keys()].some((keys) => keys.startsWith(`${THIS_LIGHT} `))
    ? `${THIS_LIGHT} `
    : `${THIS} `

/** Whether keys are a heavier way for what has a lighter one; that is told. */
function isTwice(state: State, keys: string): boolean {
  if (!keys.startsWith(`${THIS} `)) return false
  const all = bindings(state)
  const light = all.get(THIS_LIGHT + keys.slice(THIS.length))
  const heavy = all.get(keys)
  return !!light && light.command === heavy?.command && same(light.args, heavy.args)
}

const same = (a: object = {}, b: object = {}): boolean => JSON.stringify(a) === JSON.stringify(b)

/** What may follow, with what it does. */
export type Follower = CardRow & Bound

/**
 * What may follow the strokes of a sequence heard so far, in groups, but for what letters and places say.
 * @param can whether a binding can do something now: what cannot is left out
 */
export function followers(
  state: State,
  before: string,
  appName: AppName,
  can: (bound: Bound) => boolean,
): { name: string; rows: Follower[] }[] {
  const groups = AFTER_GROUPS.map((name) => ({ name, rows: [] as Follower[] }))
  for (const bound of bindings(state).values()) {
    const { keys, command, args } = bound
    if (!keys.startsWith(`${before} `) || spoken.has(command)) continue
    const does = inWords(state, command, args, appName)
    const group = groups.find(({ name }) => name === afterGroup(command))
    if (does && can(bound))
      group?.rows.push({ ...bound, keys: withArrows(keys, command).slice(before.length + 1), does })
  }
  return groups.filter(({ rows }) => rows.length > 0)
}

/** What the arrows do, where each does the same in its direction: told once. */
const ARROWED: Record<string, string> = {
  'window.focusToward': 'Focus the nearest window there',
  'window.toDisplay': 'Send window to the display there',
  'window.edge': 'Move the shared edge',
  'window.side': 'Place window at that side; in a pair, move the divider',
}

const withArrows = (keys: string, command: string): string =>
  ARROWED[command] ? keys.replace(/Left$/, 'arrows') : keys

/** A command with its arguments in words; null where the binding does nothing at present. */
export function inWords(
  state: State,
  command: string,
  args: Record<string, unknown> = {},
  appName: (id: string) => string,
): string | null {
  if (command === 'desktop.reorder')
    return `Move desktop ${Number(args.by) < 0 ? 'earlier' : 'later'} in the order`
  if (command === 'grid.columns')
    return args.columns === 2
      ? 'Desktops in rows of two, … nine'
      : args.columns === 1
        ? 'Desktops in a line'
        : null
  if (command === 'app.cycle' && args.back) return 'Previous window of this app'
  if (command === 'patterns.open' && args.pattern)
    return `New ${state.patterns.find(({ id }) => id === args.pattern)?.name ?? 'desktop'}…`
  if (command === 'sequence.run')
    return `Run ${state.sequences.find(({ id }) => id === args.sequence)?.name ?? 'a sequence'}`
  const arrowed = ARROWED[command]
  if (arrowed) return args.to === 'left' ? arrowed : null
  if (command === 'tether.use') return args.nth === 1 ? 'The tether with that number' : null
  if (command === 'display.focus') return 'Go to the next display'
  if (command === 'unstack.open' && args.app) return 'Unstack the windows of this app'
  if (command === 'trail.open' && args.back) return 'Recent windows, backwards'
  if (command !== 'app.launch') return registry.get(command)?.title ?? command
  const app = state.slots[Number(args.slot) - 1]
  if (!app) return null
  // What a number does is said once: it is the same for every app.
  const first = Number(args.slot) === state.slots.findIndex((slot) => slot !== null) + 1
  if (args.another) return first ? 'Shift and a number: another window of that app' : null
  return first ? `${appName(app)}: latest window, again: next` : appName(app)
}
