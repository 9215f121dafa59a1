import { number, string } from 'yup'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { framedWindow, which } from '@/core/commands/meant'
import { DIRECTIONS } from '@/core/geometry/direction'
import { EDGES, type Edge, moveEdge, type Placed } from '@/core/geometry/edges'
import { type Span, spanFrame } from '@/core/geometry/rect'
import { settleOn, standsOn } from '@/core/model/displays'
import type { Display } from '@/core/model/kinds/display'
import type { Window } from '@/core/model/kinds/window'
import { isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

/** How far a key moves an edge, in CSS pixels. */
const STEP = 24

interface Given {
  window?: string
  edge?: Edge
  by?: number
  to?: (typeof DIRECTIONS)[number]
}

/** The edge that two placed windows share moves, and both with it. */
const edge = command({
  id: 'window.edge',
  title: 'Move the shared edge',
  group: 'Windows',
  unlisted: true,
  args: {
    ...which,
    edge: string().oneOf(EDGES),
    by: number(),
    to: string().oneOf(DIRECTIONS),
  },
  plan: (draft, args) => {
    const found = framedWindow(draft, args)
    if (refused(found)) return found
    const spans = spansAfter(draft, found, args)
    if (refused(spans)) return spans
    for (const [id, span] of spans) {
      const window = draft.windows[id]
      if (!window) continue
      settleOn(draft, window)
      const area = draft.displays[window.display]
      if (!area) continue
      window.placed = span
      window.frame = spanFrame(span, area, window.limits, draft.settings.gap)
    }
    return { say: `Moved the edge between ${spans.size} windows` }
  },
})

/** The spans after it, or why there are none. */
export function spansAfter(state: State, found: Window, args: Given): Map<string, Span> | Refusal {
  const area: Display | undefined = state.displays[standsOn(state, found)]
  if (!found.placed || !area) return no('The window is not placed: it shares no edge with another.')
  const all = Object.values(state.windows).flatMap((one): Placed[] =>
    one.placed && standsOn(state, one) === area.id && !one.maximised && isVisible(state, one)
      ? [{ id: one.id, span: one.placed, limits: one.limits }]
      : [],
  )
  const down = args.to === 'up' || args.to === 'down'
  const edges: Edge[] = args.edge ? [args.edge] : down ? ['bottom', 'top'] : ['right', 'left']
  const by = args.by ?? (args.to === 'left' || args.to === 'up' ? -STEP : STEP)
  for (const one of edges) {
    const spans = moveEdge(all, found.id, one, by, area, state.settings.gap)
    if (spans) return spans
  }
  return no('No placed window shares that edge, or none can be smaller.')
}

export const edgeCommands = [edge]
