import { standsOn } from '@/core/model/displays'
import type { DesktopId } from '@/core/model/ids'
import type { Display } from '@/core/model/kinds/display'
import type { Window } from '@/core/model/kinds/window'
import { shownFrame, window } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { useArrangement } from '@/store/useShelf'

/** Height of the plan in the head of a row, in CSS pixels. */
const HIGH = 28

/** How the windows of a desktop stand there, drawn small, so that it is recognised. */
export function Plan({ desktop }: { desktop: DesktopId }) {
  const display = useArrangement((state) => displayOf(state, desktop))
  // As one text: it is drawn anew when something stands elsewhere, and not otherwise.
  const frames = useArrangement((state) => (display ? outlines(state, desktop, display.id) : ''))
  if (!display || frames === '') return null
  const { width, height } = display
  return (
    <svg
      aria-hidden
      className="plan shrink-0"
      width={Math.round((HIGH * width) / height)}
      height={HIGH}
      viewBox={`0 0 ${width} ${height}`}
    >
      <rect className="plan-ground" width={width} height={height} />
      {frames.split(' ').map((d) => (
        <path key={d} d={d} vectorEffect="non-scaling-stroke" />
      ))}
    </svg>
  )
}

/** Those that live there and are not minimised, in order of arrival. */
const seen = (state: State, id: DesktopId): Window[] =>
  (state.desktops[id]?.windows ?? [])
    .map((one) => window(state, one))
    .filter(({ minimised }) => !minimised)

/** The display on which the first of its windows stands. */
function displayOf(state: State, id: DesktopId): Display | undefined {
  const [first] = seen(state, id)
  return first && state.displays[standsOn(state, first)]
}

/** The outlines of its windows, each once. */
function outlines(state: State, id: DesktopId, display: string): string {
  const all = seen(state, id)
    .filter((one) => standsOn(state, one) === display)
    .map((one) => {
      const { x, y, width, height } = shownFrame(state, one)
      return `M${x},${y}h${width}v${height}h${-width}z`
    })
  return [...new Set(all)].join(' ')
}
