import { desktop } from '@/core/model/selectors'
import { Kite } from '@/parts/Kite'
import { useArrangement } from '@/store/useShelf'

/** While windows are dragged: every desktop's mark in reach, however far its row has scrolled. */
export function Marks() {
  const state = useArrangement((now) => now)
  return (
    <ul
      aria-label="Desktops to drop on"
      className="fixed top-[calc(44px+var(--title))] bottom-(--line) left-0 z-40 flex flex-col flex-wrap content-start border-ink border-r-2 bg-panel p-1"
    >
      {state.order.map((id) => {
        const { name, hue, letter, emblem } = desktop(state, id)
        return (
          <li key={id} data-shelf={id} title={name} className={`shelf-mark hue-${hue} p-1`}>
            <Kite hue={hue} letter={letter} emblem={emblem} width={26} />
          </li>
        )
      })}
    </ul>
  )
}
