import type { View } from '@/core/commands/command'
import type { Outcome } from '@/core/commands/execute'
import { currentId, focusId, isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { PageState } from './page'

/** Views that lay windows out themselves. */
const LAYS_OUT = new Set<View['view']>(['unstack', 'glance'])
/** Views that end where one goes: the pad would go on to place a window that has not the keys. */
const ENDS = new Set<View['view']>([...LAYS_OUT, 'pad', 'trail'])

/** The loft is a place of its own; everything else that is asked for is a view. */
export function shown(show: View, { loft, loftBy, loftBehind }: PageState): Partial<PageState> {
  // What lays windows out itself: two at a time would each do it.
  if (LAYS_OUT.has(show.view)) return { view: show, loft: false, loftBehind: loft || loftBehind }
  if (show.view !== 'loft') return { view: show }
  if (show.by && loft) return { view: null, loftBy: loftBy === 'app' ? 'desktop' : 'app' }
  return { view: null, loft: !loft, loftBy: show.by ?? 'desktop', marked: [] }
}

/** Whether a command only went somewhere: to another desktop or window. */
export const wentElsewhere = (
  from: State,
  { step, travelled, session: { state } }: Extract<Outcome, { ok: true }>,
): boolean =>
  !step && !travelled && (currentId(from) !== currentId(state) || focusId(from) !== focusId(state))

/** Who goes somewhere sees it, and types there: what lays windows out stands in the way. */
export const leaving = ({ view }: PageState): Partial<PageState> => ({
  loft: false,
  loftBehind: false,
  ...(view && ENDS.has(view.view) && { view: null }),
})

/** Whether what a view is about is still there; for the pad, whether it can be seen. */
export function isAbout(view: View, state: State): boolean {
  const window = 'window' in view ? state.windows[view.window ?? ''] : undefined
  if (view.view === 'pad') return !!window && isVisible(state, window)
  if ('window' in view && view.window && !window) return false
  if ('desktop' in view && view.desktop != null && !state.desktops[view.desktop]) return false
  return !('document' in view) || !!state.documents[view.document]
}
