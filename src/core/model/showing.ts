import { arriving, type Presence } from '@/core/model/kinds/display'
import { connected, displayShowing, standsOn } from './displays'
import type { DesktopId, DisplayId } from './ids'
import { isVisible, topmost } from './selectors'
import type { State } from './state'

/** Which desktop each display shows, and what has the focus there. All work on a draft. */

/** What a display shows with another desktop on it, the one before it visited last. */
function showing(before: Presence | undefined, shows: DesktopId): Presence {
  const { visited } = before ?? arriving(shows)
  return { shows, focus: null, visited: [shows, ...visited.filter((id) => id !== shows)] }
}

/** Shows a desktop on one display; where displays are together, on all of them. */
export function showOn(draft: State, on: DisplayId, desktop: DesktopId): void {
  const all = draft.apart ? [on] : connected(draft).map(({ id }) => id)
  for (const id of all)
    if (draft.presence[id]?.shows !== desktop)
      draft.presence[id] = showing(draft.presence[id], desktop)
}

/** Whether a desktop could be shown by another display than those that show one. */
type Free = (id: DesktopId) => boolean

/** A desktop for a display: the one visited there last of those that are free, or the first there is. */
function pick(state: State, display: DisplayId, free: Free, open = false): DesktopId | undefined {
  const can = (id: DesktopId) => !!state.desktops[id] && free(id)
  const isOpen = (id: DesktopId) => can(id) && state.desktops[id]?.kind === 'open'
  const visited = state.presence[display]?.visited.find(open ? isOpen : can)
  return visited ?? state.order.find(isOpen) ?? (open ? undefined : state.order.find(can))
}

/** A desktop that no display shows, for this one; `open`: one that takes windows. */
export const hiddenFor = (state: State, display: DisplayId, open = false): DesktopId | undefined =>
  pick(state, display, (id) => !displayShowing(state, id), open)

/**
 * After displays or desktops came and went: each display that is plugged in shows one desktop, with
 * displays apart each another, together all the same; the focus on each is where it can be seen.
 * What the display that takes the keys shows stays. One for which no desktop is left is unplugged.
 */
export function settleShown(draft: State): void {
  const others = connected(draft).flatMap(({ id }) => (id === draft.display ? [] : id))
  const shown = new Set<DesktopId>()
  for (const id of [draft.display, ...others]) {
    const shows = draft.presence[id]?.shows ?? ''
    const kept = draft.apart ? !shown.has(shows) : id === draft.display || shown.has(shows)
    if (!draft.desktops[shows] || !kept) {
      const [same] = shown
      // Rather none that a display shows which is not settled yet.
      const next = draft.apart
        ? (pick(draft, id, (one) => !shown.has(one) && !displayShowing(draft, one)) ??
          pick(draft, id, (one) => !shown.has(one)))
        : (same ?? draft.order[0])
      if (next) draft.presence[id] = showing(draft.presence[id], next)
      else
        draft.displays[id] = {
          ...draft.displays[id],
          connected: false,
        } as State['displays'][string]
    }
    shown.add(draft.presence[id]?.shows ?? '')
  }
  for (const id in draft.presence) {
    const gone = !draft.desktops[draft.presence[id]?.shows ?? '']
    // Unplugged, it may be about to show what another does.
    if (gone && draft.order[0]) draft.presence[id] = showing(draft.presence[id], draft.order[0])
    const { shows, visited } = draft.presence[id] as Presence
    const sound = [shows, ...visited.filter((one) => one !== shows)].filter(
      (one) => draft.desktops[one],
    )
    if (sound.length !== visited.length || sound[0] !== visited[0])
      draft.presence[id] = { ...(draft.presence[id] as Presence), visited: sound }
    refocus(draft, id)
  }
}

/** A focus that cannot be seen any more goes to the topmost window on that display, or to none. */
export function refocus(draft: State, display: DisplayId): void {
  const there = draft.presence[display]
  if (!there || there.focus === null) return
  const focused = draft.windows[there.focus]
  const plugged = draft.displays[display]?.connected === true
  if (plugged && focused && isVisible(draft, focused) && standsOn(draft, focused) === display)
    return
  // Together there is one focus, where the keys are.
  const seen = plugged && (draft.apart || display === draft.display)
  const next = seen ? topmost(draft, there.shows, display) : undefined
  draft.presence[display] = { ...there, focus: next?.id ?? null }
}
