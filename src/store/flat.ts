import { frameOf, standsOn } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import type { Window } from '@/core/model/kinds/window'
import { focusId, presence } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

/**
 * The state as it is seen from one display, for scripts: its inner shape may change, this stays.
 * Windows have their height (`z`), displays what they show, and there is one focus.
 */
export interface FlatState extends Omit<State, 'presence' | 'stacking' | 'windows' | 'displays'> {
  windows: Record<string, Window & { z: number }>
  displays: Record<string, Display & { shows: string }>
  focus: string | null
  visited: string[]
}

export function flat(state: State): FlatState {
  const { presence: all, stacking, windows, displays, ...rest } = structuredClone(state)
  const heights = new Map(stacking.map((id, at) => [id, at + 1]))
  return {
    ...rest,
    windows: mapped(windows, (window) => ({
      ...window,
      // Where it stands now, which need not be where it belongs.
      display: standsOn(state, window),
      frame: { ...frameOf(state, window) },
      z: heights.get(window.id) ?? 0,
    })),
    displays: mapped(displays, (display) => ({
      ...display,
      shows: all[display.id]?.shows ?? '',
    })),
    focus: focusId(state),
    visited: [...presence(state).visited],
  }
}

const mapped = <T, U>(objects: Record<string, T>, to: (object: T) => U): Record<string, U> =>
  Object.fromEntries(Object.entries(objects).map(([id, object]) => [id, to(object)]))
