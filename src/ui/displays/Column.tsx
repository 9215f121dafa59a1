import type { Display } from '@/core/model/kinds/display'
import { currentId, desktop, summary } from '@/core/model/selectors'
import { Backdrop } from '@/parts/Backdrop'
import { useArrangement, useList, usePage, useShelf } from '@/store/useShelf'
import { others, surfaces, useArea } from '@/ui/area/area'

/** The other displays, live and small; a push brings one into the large area. */
export function Column() {
  const shelf = useShelf()
  const { column } = useArea()
  const displays = useList(others)
  const loft = usePage((now) => now.loft)
  if (column === 0 || loft) return null
  return (
    <aside aria-label="Displays" className="column" style={{ width: column }}>
      <div aria-hidden className="column-ground" />
      {displays.map((display) => (
        <Miniature key={display.id} display={display} />
      ))}
      <button
        type="button"
        className="absolute right-3 bottom-3 left-3 px-1 py-0.5 text-left text-soft hover:text-ink hover:underline hover:decoration-dashed hover:underline-offset-4"
        onClick={() => shelf.dispatch('displays.arrange')}
      >
        Arrange displays
      </button>
    </aside>
  )
}

/** A narrower miniature has room for the display's name only. */
const BOTH = 100

/** Its windows are drawn over it, where they stand; what is pushed is above them. */
function Miniature({ display }: { display: Display }) {
  const shelf = useShelf()
  const area = useArea()
  const surface = useArrangement((state) => surfaces(shelf, state)[display.id])
  const shows = useArrangement((state) => state.presence[display.id]?.shows ?? currentId(state))
  const { name } = useArrangement((state) => desktop(state, shows))
  const says = useArrangement((state) => summary(state, shows))
  const away = usePage(({ elsewhere }) => elsewhere.includes(display.id))
  if (!surface) return null
  const { scale } = surface
  const place = {
    left: surface.x - area.width,
    top: surface.y,
    width: display.width * scale,
    height: display.height * scale,
  }
  return (
    <>
      <p
        aria-hidden
        className="miniature-caption"
        style={{ left: place.left, top: place.top, width: place.width }}
      >
        <b className="truncate">{display.name}</b>
        {place.width > BOTH ? (
          <span dir="auto" className="truncate text-right">
            {name}
          </span>
        ) : null}
      </p>
      <Backdrop
        of={shows}
        className="absolute grid place-items-center outline-1 outline-edge"
        style={place}
      >
        {away ? (
          <span className="bg-panel px-1 text-[11px] text-soft">in its own window</span>
        ) : null}
      </Backdrop>
      <button
        type="button"
        className="miniature"
        data-display-target={display.id}
        style={place}
        title={`Go to ${display.name}`}
        aria-label={`${display.name}: ${says}. Go there`}
        onClick={() => shelf.dispatch('display.focus', { to: display.id })}
      />
    </>
  )
}
