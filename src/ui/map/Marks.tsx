import { rowsOf } from '@/core/model/grid'
import { currentId, desktop } from '@/core/model/selectors'
import { Kite } from '@/parts/Kite'
import { useArrangement, useShelf } from '@/store/useShelf'

/** How many marks of a line stand side by side. */
const LINE = 12

/** The desktops' marks in their rows and columns, the current one filled; a click goes there. */
export function Marks({ width }: { width: number }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const here = currentId(state)
  const rows = rowsOf(state.columns > 1 ? state : { order: state.order, columns: LINE })
  return rows.map((row) => (
    <div key={row[0]} className="flex gap-1.5">
      {row.map((id) => {
        const { name, hue, letter, emblem } = desktop(state, id)
        return (
          <button
            key={id}
            type="button"
            tabIndex={-1}
            aria-label={name}
            title={name}
            aria-current={id === here ? 'true' : undefined}
            onClick={() => id !== here && shelf.dispatch('desktop.go', { to: id })}
          >
            <Kite hue={hue} letter={letter} emblem={emblem} filled={id === here} width={width} />
          </button>
        )
      })}
    </div>
  ))
}
