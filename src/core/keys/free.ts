import type { State } from '@/core/model/state'
import { bindings } from './bindings'
import { clashes } from './clashes'
import { effort } from './effort'
import type { Platform } from './kept'
import { KEYS } from './keyboard'

const MODIFIERS = ['Alt+', 'Alt+Shift+']

/** All strokes a command may have, the lightest first. */
const STROKES: readonly string[] = [...KEYS.keys()]
  .flatMap((key) => MODIFIERS.map((modifiers) => modifiers + key))
  .sort((one, other) => effort(one) - effort(other))

/** The lightest stroke that nothing speaks against for a command; null where there is none. */
export const lightestFree = (
  state: Pick<State, 'order' | 'desktops' | 'bindings'>,
  command: string,
  platform: Platform,
): string | null =>
  STROKES.find(
    (keys) => clashes(state, { keys, command, platform, named: () => '' }).length === 0,
  ) ?? null

/** How many strokes a command takes that is given nothing; null where no keys say it. */
export function strokesOf(
  state: Pick<State, 'order' | 'desktops' | 'bindings'>,
  command: string,
): number | null {
  const all = [...bindings(state).values()]
    .filter((bound) => bound.command === command && !Object.keys(bound.args ?? {}).length)
    .map(({ keys }) => keys.split(' ').length)
  return all.length > 0 ? Math.min(...all) : null
}
