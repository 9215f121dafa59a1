import { GROUPS } from '@/core/commands/command'
import { registry } from '@/core/commands/registry'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/types'
import { asPressed, bindings, PLACES, VERBS } from './bindings'

interface CardRow {
  keys: string
  does: string
}

export interface Card {
  verbs: CardRow[]
  places: CardRow[]
  groups: { name: string; rows: CardRow[] }[]
}

const spoken = new Set(VERBS.flatMap(({ command, makes }) => [command, makes]))

/** The key card: what can be said with keys, made from the bindings as they are now. */
export function keyCard(state: State, appName: (id: string) => string): Card {
  const groups = GROUPS.map((name) => ({ name, rows: [] as CardRow[] }))
  for (const { keys, command, args } of bindings(state).values()) {
    const does = spoken.has(command) ? null : inWords(state, command, args, appName)
    const group = groups.find(({ name }) => name === registry.get(command)?.group)
    if (does && group) group.rows.push({ keys: asPressed(withArrows(keys, command), state), does })
  }
  const called = state.order.map((id) => desktop(state, id)).filter(({ letter }) => letter)
  return {
    verbs: VERBS.map(({ name, says, keys }) => ({
      keys: `${asPressed(keys, state)}…`,
      does: `${name}: ${says}`,
    })),
    places: [
      ...called.map(({ letter, name }) => ({ keys: letter ?? '', does: name })),
      ...PLACES.map(({ key, says }) => ({ keys: key, does: says })),
    ],
    groups: groups.filter(({ rows }) => rows.length > 0),
  }
}

/** What the arrows do, where each does the same in its direction: told once. */
const ARROWED: Record<string, string> = {
  'window.focusToward': 'Focus the nearest window there',
  'window.toDisplay': 'Send window to the display there',
  'window.edge': 'Move the edge that placed windows share',
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
  if (command === 'pair.divide')
    return `Divider of the pair to the ${Number(args.by) < 0 ? 'left' : 'right'}`
  if (command === 'app.cycle' && args.back) return 'Previous window of this app'
  const arrowed = ARROWED[command]
  if (arrowed) return args.to === 'left' ? arrowed : null
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
