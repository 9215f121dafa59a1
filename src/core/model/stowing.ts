import { current, isDraft } from 'mutative'
import type { Stowed } from '@/core/model/kinds/stowed'
import type { DesktopId } from './ids'
import type { State } from './state'

/** A copy that does not change with the draft it was taken from. */
export const copyOf = <T>(given: T): T =>
  JSON.parse(JSON.stringify(isDraft(given) ? current(given as object) : given))

/** The items of a list that are taken out of it, each with its place. */
const taken = <T>(list: readonly T[], is: (item: T) => boolean): { at: number; item: T }[] =>
  list.flatMap((item, at) => (is(item) ? { at, item: copyOf(item) } : []))

/** A desktop with all that belongs to it, as it is put away; null where there is none. */
export function stowedFrom(state: State, id: DesktopId): Stowed | null {
  const found = state.desktops[id]
  if (!found) return null
  const here = (one: string) => found.windows.includes(one)
  return {
    id,
    at: state.order.indexOf(id),
    desktop: copyOf(found),
    windows: Object.fromEntries(
      found.windows.map((one) => [one, copyOf(state.windows[one])]),
    ) as Stowed['windows'],
    stacking: taken(state.stacking, here),
    homes: taken(state.homes, (home) => home.desktop === id),
    bindings: taken(state.bindings, ({ args }) => args?.to === id),
    plan: taken(state.plan, (block) => block.desktop === id),
    closed: state.closed.flatMap(({ window }) => (window.desktop === id ? window.id : [])),
    origins: Object.values(state.desktops).flatMap((other) =>
      Object.entries(other.origins ?? {}).flatMap(([window, origin]) =>
        origin.desktop === id ? { desktop: other.id, window } : [],
      ),
    ),
  }
}
